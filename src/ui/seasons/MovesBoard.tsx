import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useSeasons } from '@/client/seasons';
import type { MovesReply, SeasonMark, Seasons } from '@/contract/plan';
import type { Day } from '@/core/measure/day';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Toggles } from '../kit/Toggles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { boxSizeWords } from '@/words/residents';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { useLength } from '@/words/useLength';
import { BoardRow } from './BoardRow';
import { MoveDay } from './MoveDay';
import { MoveChains } from './MoveChains';
import { useResidentOf } from './useResidentOf';
import { countWords } from '@/words/count';

const AHEAD = [
  { value: '30', title: '30 days' },
  { value: '60', title: '60 days' },
  { value: '120', title: '120 days' },
] as const;
const PER_DAY = [
  { value: '1', title: '1 a day' },
  { value: '2', title: '2 a day' },
  { value: '4', title: '4 a day' },
] as const;
const CLEANING = [
  { value: '1', title: '1 day to clean' },
  { value: '2', title: '2 days' },
  { value: '5', title: '5 days' },
] as const;

/** For a keeper who waits for it. s, chosen here */
const LONG_SEARCH_S = 12;
/** A plan that is this near the best is not worth a longer search. Share of the cost, chosen here */
const WORTH_SEARCHING = 0.01;

/** Who moves where: what is settled, and a plan in which each move frees a box for the next. */
export function MovesBoard() {
  const seasons = useSeasons().answer;
  const hasResidents = useHouse((house) => house.residents.length > 0);
  const settled = seasons?.marks.filter(({ kind }) => kind === 'move') ?? [];
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      {settled.length > 0 ? <Heading>Settled</Heading> : null}
      {seasons ? settled.map((mark) => <SettledMove key={mark.moveId} mark={mark} seasons={seasons} />) : null}
      {hasResidents ? <Planner /> : <Body>Nobody lives here yet: there is nobody to move.</Body>}
    </View>
  );
}

/** A move that stands: drawn to another day of its window, begun, or given up. */
function SettledMove({ mark, seasons }: { mark: SeasonMark; seasons: Seasons }) {
  const write = useLog((log) => log.write);
  const homes = useHouse((house) => house.homes);
  const find = useResidentOf();
  const [on, setOn] = useState<Day>();
  const { residentId, from, until, median, toHomeId } = mark;
  const to = homes.find(({ id }) => id === toHomeId);
  const home = find(residentId)?.home;
  if (!to || !home) return null;
  const day = on ?? median ?? from;
  const keep = async () => {
    const entry = { kind: 'move-planned', residentId, toHomeId: to.id, moveOn: day, from, until } as const;
    if (await write(entry, `${home.code} to ${to.code}: ${dayWords(day, seasons.from)}.`)) setOn(undefined);
  };
  const closed = [
    ...seasons.closed.filter((each) => each.residentId === residentId),
    ...seasons.busyDays.map((busy) => ({ from: busy, until: busy, why: 'busy' as const })),
  ];
  return (
    <View style={{ gap: space.s }}>
      <BoardRow residentId={residentId} onPress={() => router.push(`/residents/${residentId}/move`)}>
        <Strong>{`${home.code} to ${to.code}, ${dayWords(day, seasons.from)}`}</Strong>
      </BoardRow>
      <MoveDay
        label={`${home.code} to ${to.code}: day of the move`}
        today={seasons.from}
        on={day}
        window={{ from, until }}
        closed={closed}
        onChange={setOn}
      />
      <View style={{ flexDirection: 'row', gap: space.s }}>
        {day === median ? null : <Button title={`Keep ${dayWords(day, seasons.from)}`} onPress={() => void keep()} />}
        <Button rank="second" title="Steps" onPress={() => router.push(`/residents/${residentId}/move`)} />
        <Button
          rank="second"
          title="Give up"
          onPress={() => void write({ kind: 'move-dropped', residentId }, `${home.code}: move given up.`)}
        />
      </View>
    </View>
  );
}

/** Asks for a plan, and shows it. */
function Planner() {
  const show = useLog((log) => log.show);
  const [days, setDays] = useState<string>('60');
  const [perDay, setPerDay] = useState<string>('2');
  const [cleaning, setCleaning] = useState<string>('2');
  const [room, setRoom] = useState<'room'[]>([]);
  const [plan, setPlan] = useState<MovesReply>();
  const [isBusy, setBusy] = useState(false);
  const ask = async (searchS?: number) => {
    setBusy(true);
    try {
      const body = {
        days: Number(days),
        perDay: Number(perDay),
        cleaningDays: Number(cleaning),
        makeRoom: room.length > 0,
        ...(searchS !== undefined && { searchS }),
      };
      setPlan(await call('movesPlan', { body }));
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
    setBusy(false);
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>Work the moves out</Heading>
      <Soft>
        For everybody whose box does not serve, or will be outgrown: which of your boxes, on which day, dodging moults,
        rest and days without time.
      </Soft>
      <Choices label="How far ahead" choices={AHEAD} value={days} onChange={setDays} />
      <Choices label="Moves in a day" choices={PER_DAY} value={perDay} onChange={setPerDay} />
      <Choices
        label="Until a box that was left is ready again"
        choices={CLEANING}
        value={cleaning}
        onChange={setCleaning}
      />
      <Toggles
        label="Also"
        choices={[{ value: 'room', title: 'move others to make room' }]}
        values={room}
        onChange={setRoom}
      />
      <Button title={isBusy ? 'Working it out…' : 'Work the moves out'} disabled={isBusy} onPress={() => void ask()} />
      {plan ? (
        <Plan
          plan={plan}
          isBusy={isBusy}
          searchLonger={() => void ask(LONG_SEARCH_S)}
          onSettled={() => setPlan(undefined)}
        />
      ) : null}
    </View>
  );
}

interface PlanProps {
  plan: MovesReply;
  isBusy: boolean;
  searchLonger: () => void;
  onSettled: () => void;
}

function Plan({ plan, isBusy, searchLonger, onSettled }: PlanProps) {
  const writeMany = useLog((log) => log.writeMany);
  const length = useLength();
  const { moves, unplacedWhy, buy, unserved, cost, bound, by } = plan;
  const settle = async () => {
    const entries = moves.map(({ resident, to, on, window }) => ({
      ...{ kind: 'move-planned' as const, residentId: resident, toHomeId: to, moveOn: on },
      ...{ from: window.from, until: window.until },
    }));
    const count = countWords(entries.length, 'move');
    if (await writeMany(entries, `${count} settled.`)) onSettled();
  };
  return (
    <View style={{ gap: space.m }}>
      <Strong>
        {moves.length === 0
          ? 'No move helps.'
          : `${countWords(moves.length, 'move')}, ${qualityWords(cost, bound, by)}.`}
      </Strong>
      {by === 'heuristic' && cost - bound > WORTH_SEARCHING * cost ? (
        <Button rank="second" title="Look longer for a better one" disabled={isBusy} onPress={searchLonger} />
      ) : null}
      <MoveChains moves={moves} />
      {moves.map((move) => (
        <PlannedMove key={move.resident} move={move} />
      ))}
      {moves.length > 0 ? <Button title="Settle these moves" onPress={() => void settle()} /> : null}
      {unplacedWhy.length > 0 ? <Heading>Stay without</Heading> : null}
      {unplacedWhy.map(({ resident, why }) => (
        <BoardRow key={resident} residentId={resident} onPress={() => router.push(`/residents/${resident}/boxes`)}>
          <Soft>{UNPLACED_WORDS[why]}</Soft>
        </BoardRow>
      ))}
      {buy.length > 0 ? <Heading>What to buy for them</Heading> : null}
      {buy.map(({ size, residentIds }) => (
        <Body key={size.id}>{`${residentIds.length} x ${boxSizeWords(size, length)}`}</Body>
      ))}
      {unserved.length > 0 ? (
        <Soft>{`No usual size fits ${countWords(unserved.length, 'of them', 'of them')}.`}</Soft>
      ) : null}
    </View>
  );
}

/** How good a plan is: proved the best, or how far from it at most. */
function qualityWords(cost: number, bound: number, by: MovesReply['by']): string {
  const gapPct = cost > 0 ? (100 * (cost - bound)) / cost : 0;
  if (by === 'exact') return gapPct < 0.05 ? 'and no plan is better' : `within ${gapPct.toFixed(1)} % of the best`;
  return `at most ${Math.ceil(gapPct)} % from the best`;
}

const NEED_WORDS = {
  homeless: 'has no box',
  fails: 'its box does not fit',
  outgrows: 'its box will be outgrown',
  none: 'makes room for another',
} as const;
const UNPLACED_WORDS = {
  'no-tub': 'None of your boxes fits it.',
  'no-day': 'It cannot be moved in this time: rest, moults, or no free day.',
  taken: 'Every box that would fit goes to another animal that needs it more.',
} as const;
const LASTS_WORDS = ['until its next moult', 'for one moult', 'for two moults and more'];

const spanWords = ({ from, until }: { from: string; until: string }, today: string) =>
  from === until ? `${dayWords(from, today)} only` : `${dayWords(from, today)} to ${dayWords(until, today)}`;

function PlannedMove({ move }: { move: MovesReply['moves'][number] }) {
  const length = useLength();
  const homes = useHouse((house) => house.homes);
  const today = useHouse((house) => house.round?.on) ?? move.on;
  const find = useResidentOf();
  const from = homes.find(({ id }) => id === move.from)?.code;
  const to = homes.find(({ id }) => id === move.to)?.code;
  const waitsFor = move.waitsFor === null ? undefined : find(move.waitsFor);
  const soil = Math.round(10 * move.soilToAddL) / 10;
  return (
    <BoardRow residentId={move.resident} onPress={() => router.push(`/residents/${move.resident}/boxes`)}>
      <Strong>{`${from ?? 'new'} to ${to ?? '?'}, ${dayWords(move.on, today)}`}</Strong>
      <Soft>
        {`${NEED_WORDS[move.need]}; ${to} fits ${LASTS_WORDS[move.servesMoults]}${move.verdict === 'watch' ? ', to be watched' : ''}`}
      </Soft>
      <Soft>
        {`soil ${length.long(move.depthMm)}${soil === 0 ? '' : `, ${soil > 0 ? 'add' : 'take out'} ${Math.abs(soil)} L`}` +
          `; can be made ${spanWords(move.window, today)}`}
      </Soft>
      {waitsFor ? (
        <Soft>{`after ${waitsFor.home.code}, ${waitsFor.resident.called ?? waitsFor.resident.scientificName}, has left it`}</Soft>
      ) : null}
    </BoardRow>
  );
}
