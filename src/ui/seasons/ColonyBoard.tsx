import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { ColonyBoard as Board } from '@/contract/colony';
import { daysBetween } from '@/core/measure/day';
import { FillBar } from '../charts/FillBar';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { headsWords, LEAST_PER_WEEK, VERDICT_SHORT } from '@/words/colony';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { BoardRow } from './BoardRow';
import { useResidentOf } from './useResidentOf';
import { Waiting } from '../kit/Waiting';

type Row = Board['colonies'][number];

/** A founding group gives a new tub about once in so many days. Common practice */
const NEW_TUB_DAYS = 30;

const PARTS = ['Cultures', 'Ants', 'Groups that breed'] as const;

/** Cultures and colonies side by side, what presses first. */
export function ColonyBoard() {
  const round = useHouse((house) => house.round);
  const care = useHouse((house) => house.care);
  const residentOf = useResidentOf();
  const { answer, problem, again } = useCall(round, () => call('colonies', {}));
  if (problem !== undefined || !answer) return <Waiting {...{ problem, again }}>Counting…</Waiting>;
  const partOf = ({ residentId, isCounted }: Row): (typeof PARTS)[number] => {
    const found = residentOf(residentId);
    if (!found) return 'Cultures';
    if (care.of(found.resident).silhouette === 'ant') return 'Ants';
    return isCounted ? 'Cultures' : 'Groups that breed';
  };
  const rows = [...answer.colonies].sort(byPressing);
  const parts = PARTS.map((title) => ({ title, rows: rows.filter((row) => partOf(row) === title) }));
  return (
    <View style={{ gap: space.s, marginTop: space.m }}>
      {rows.length === 0 ? (
        <Body>
          No culture, colony or group lives here yet. When each is to be split, and what it gives, is told here.
        </Body>
      ) : null}
      {parts
        .filter((part) => part.rows.length > 0)
        .map((part) => (
          <View key={part.title} style={{ gap: space.xs, marginTop: space.m }}>
            <Heading>{part.title}</Heading>
            {part.title === 'Groups that breed' ? <Soft>If every egg is left to hatch with them.</Soft> : null}
            {part.rows.map((row) => (
              <ColonyRow key={row.residentId} row={row} asOf={answer.asOf} isCulture={part.title !== 'Ants'} />
            ))}
          </View>
        ))}
    </View>
  );
}

/** A crash before a burst, a burst before what has time. */
function byPressing(a: Row, b: Row): number {
  const rank = ({ verdict }: Row) => (verdict === 'crash' ? 0 : verdict === 'fewer' ? 1 : 2);
  return rank(a) - rank(b) || (a.splitOn ?? NEVER).localeCompare(b.splitOn ?? NEVER);
}

/** Behind every day. */
const NEVER = '9999';

function ColonyRow({ row, asOf, isCulture }: { row: Row; asOf: string; isCulture: boolean }) {
  const residentOf = useResidentOf();
  const { heads, fullPct, splitOn, harvest, verdict, outOfId, partedOn } = row;
  const parent = outOfId === null ? undefined : residentOf(outOfId);
  const isDue = splitOn !== null && splitOn <= asOf;
  const act = !isCulture ? 'next module' : row.isCounted ? 'split' : 'another box';
  return (
    <BoardRow residentId={row.residentId} onPress={() => router.push(`/residents/${row.residentId}?tab=growth`)}>
      <Strong>
        {row.isFounding ? 'Founding queen' : `About ${headsWords(heads)} ${isCulture ? 'heads' : 'workers'}`}
        {row.isResting ? ', resting' : ''}
        {verdict !== null && VERDICT_SHORT[verdict] !== '' ? `, ${VERDICT_SHORT[verdict]}` : ''}
      </Strong>
      {fullPct === null ? null : <FillBar pct={fullPct} />}
      <Soft>
        {[
          ...(fullPct === null ? [] : [`${Math.round(fullPct)} % of its room`]),
          ...(splitOn === null ? [] : [isDue ? `${act} now` : `${act} about ${dayWords(splitOn, asOf)}`]),
          ...(harvest?.usableOn && harvest.perWeek >= LEAST_PER_WEEK
            ? [
                `${headsWords(Math.floor(harvest.perWeek))} a week may go${harvest.usableOn > asOf ? ` from ${dayWords(harvest.usableOn, asOf)} on` : ''}`,
              ]
            : []),
          `counted ${dayWords(row.countedOn, asOf)}`,
        ].join('; ')}
      </Soft>
      {row.splitInto.length > 0 ? (
        <Soft>{`Free boxes that would take half: ${row.splitInto.map(({ code }) => code).join(', ')}`}</Soft>
      ) : null}
      {parent ? <Soft>{`Out of ${parent.home.code}, ${calledWords(parent.resident)}`}</Soft> : null}
      {isCulture && partedOn !== null ? (
        <Soft>
          {daysBetween(partedOn, asOf) >= NEW_TUB_DAYS
            ? `Last tub begun from it ${dayWords(partedOn, asOf)}: another is due`
            : `Last tub begun from it ${dayWords(partedOn, asOf)}`}
        </Soft>
      ) : null}
    </BoardRow>
  );
}
