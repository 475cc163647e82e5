import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { SeasonMark, Seasons } from '@/contract/plan';
import type { Day } from '@/core/measure/day';
import { Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords, weekday } from '@/words/days';
import { BoardRow } from './BoardRow';
import { isAway, marksOn, minutesOn } from './calendarDays';
import { markWords, openMark } from './marks';

/** One day: how much work, who is away, what is foreseen. */
export function DayList({ seasons, day, today }: { seasons: Seasons; day: Day; today: Day }) {
  const marks = marksOn(seasons, day);
  const away = seasons.absences.filter(({ from, until }) => day >= from && day <= until);
  return (
    <View style={{ gap: space.xs, marginTop: space.m }}>
      <Heading>{`${weekday(day)}, ${dayWords(day, today)}`}</Heading>
      <Soft>{`${minutesOn(seasons, day)} minutes of work`}</Soft>
      {away.map(({ id, keeperId, sitter }) => (
        <Soft key={id}>
          {keeperId === null
            ? `Nobody of the house is there${sitter === null ? '' : `: ${sitter} looks in`}.`
            : 'One of the keepers is away.'}
        </Soft>
      ))}
      {isAway(seasons, day) ? null : seasons.busyDays.includes(day) ? (
        <Soft>No keeper has time: only what cannot wait is planned.</Soft>
      ) : null}
      {marks.length === 0 ? <Soft>Nothing is foreseen.</Soft> : null}
      {marks.map((mark, index) => (
        <MarkRow key={`${mark.residentId} ${mark.kind} ${index}`} mark={mark} today={today} />
      ))}
    </View>
  );
}

/** What is foreseen of one resident, with its window. */
export function MarkRow({ mark, today }: { mark: SeasonMark; today: Day }) {
  const homes = useHouse((house) => house.homes);
  const to = homes.find(({ id }) => id === mark.toHomeId);
  return (
    <BoardRow residentId={mark.residentId} onPress={() => openMark(mark)}>
      <Strong>{MARK_WORDS[mark.kind](to?.code)}</Strong>
      <Soft>{markWords(mark, today)}</Soft>
    </BoardRow>
  );
}

const MARK_WORDS: Record<SeasonMark['kind'], (code: string | undefined) => string> = {
  moult: () => 'Moults',
  outgrown: () => 'Outgrows its box',
  hatch: () => 'Hatch',
  emerge: () => 'Moths come out',
  pair: () => 'Pair overnight',
  workers: () => 'First workers',
  rest: () => 'Winter rest',
  move: (code) => `Moves to ${code ?? 'another box'}`,
};
