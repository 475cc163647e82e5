import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { RestBoard as Board } from '@/contract/rest';
import { Fold } from '../kit/Fold';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { REST_ACT_WORDS } from '@/words/rest';
import { REST_PHASE_WORDS } from '@/words/winter';
import { dayWords } from '@/words/days';
import { useTemperature } from '@/words/temperature';
import { capital } from '@/words/text';
import { BoardRow } from './BoardRow';
import { Waiting } from '../kit/Waiting';

type Row = Board['rests'][number];

const isOn = ({ phase }: Row) => phase !== null && phase !== 'over';

/** Who of the house rests, who needs to and has no plan, who may, and who must not. */
export function RestBoard() {
  const round = useHouse((house) => house.round);
  const { answer, problem, again } = useCall(round, () => call('rests', {}));
  if (problem !== undefined || !answer) return <Waiting {...{ problem, again }}>Looking it up…</Waiting>;
  const { rests, asOf } = answer;
  const on = rests.filter(isOn).sort((a, b) => (a.next?.on ?? '9').localeCompare(b.next?.on ?? '9'));
  const others = rests.filter((row) => !isOn(row));
  const bySeason = (a: Row, b: Row) => (a.beginsOn ?? '9').localeCompare(b.beginsOn ?? '9');
  const must = others.filter((row) => row.need === 'must').sort(bySeason);
  const may = others.filter((row) => row.need === 'may').sort(bySeason);
  const never = others.filter((row) => row.need === 'never');
  return (
    <View style={{ gap: space.s, marginTop: space.m }}>
      {rests.length === 0 ? (
        <Body>Nobody lives here yet. Who needs a rest in winter, and who must not be cooled, is told here.</Body>
      ) : null}
      {on.length > 0 ? <Heading>Planned or under way</Heading> : null}
      {on.map((row) => (
        <OnRow key={row.residentId} row={row} asOf={asOf} />
      ))}
      {must.length > 0 ? <Heading style={{ marginTop: space.l }}>Needs a rest, nothing planned</Heading> : null}
      {must.map((row) => (
        <SeasonRow key={row.residentId} row={row} asOf={asOf} />
      ))}
      {may.length > 0 ? <Heading style={{ marginTop: space.l }}>May rest, need not</Heading> : null}
      {may.map((row) => (
        <SeasonRow key={row.residentId} row={row} asOf={asOf} />
      ))}
      {never.length > 0 ? (
        <View style={{ marginTop: space.l }}>
          <Fold title={`Must not be cooled: ${never.length}`}>
            {never.map((row) => (
              <BoardRow
                key={row.residentId}
                residentId={row.residentId}
                onPress={() => router.push(`/residents/${row.residentId}`)}
              >
                <Soft>{row.why}</Soft>
              </BoardRow>
            ))}
          </Fold>
        </View>
      ) : null}
    </View>
  );
}

const openRest = (id: string) => router.push(`/residents/${id}/rest`);

function OnRow({ row, asOf }: { row: Row; asOf: string }) {
  const temperature = useTemperature();
  const { phase, targetC, next, alarms, endsOn } = row;
  if (phase === null) return null;
  return (
    <BoardRow residentId={row.residentId} onPress={() => openRest(row.residentId)}>
      <Strong>
        {`${capital(REST_PHASE_WORDS[phase])}${targetC === null ? '' : `, ${temperature.long(targetC)}`}`}
        {endsOn === null ? '' : `, over about ${dayWords(endsOn, asOf)}`}
      </Strong>
      {next ? <Soft>{`Next, ${dayWords(next.on, asOf)}: ${REST_ACT_WORDS[next.what].toLowerCase()}`}</Soft> : null}
      {alarms > 0 ? <Body>Its place is not as it should be: look now.</Body> : null}
    </BoardRow>
  );
}

function SeasonRow({ row, asOf }: { row: Row; asOf: string }) {
  const { beginsOn, endsOn } = row;
  return (
    <BoardRow residentId={row.residentId} onPress={() => openRest(row.residentId)}>
      {beginsOn !== null && endsOn !== null ? (
        <Strong>{`${dayWords(beginsOn, asOf)} to ${dayWords(endsOn, asOf)}`}</Strong>
      ) : null}
      <Soft>{row.why}</Soft>
    </BoardRow>
  );
}
