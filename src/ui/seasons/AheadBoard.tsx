import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useSeasons } from '@/client/seasons';
import type { Seasons } from '@/contract/plan';
import { addDays, type Day } from '@/core/measure/day';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { useIsWide } from '../components/useLayout';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { space } from '../theme/tokens';
import { dateWords, dayWords, weekday } from '@/words/days';
import { LANES, monthOf, monthsOn, monthWords, headlinesOn, isAway, minutesOn, weekOf } from './calendarDays';
import { DayList, MarkRow } from './DayList';
import { MarkRidges } from './MarkRidges';
import { MonthGrid } from './MonthGrid';
import { YearStrip } from './YearStrip';
import { Waiting } from '../kit/Waiting';

const VIEWS = [
  { value: 'year', title: 'Year' },
  { value: 'month', title: 'Month' },
  { value: 'week', title: 'Week' },
] as const;
type View_ = (typeof VIEWS)[number]['value'];

/** The months ahead: as one strip, a month of days, or a week in words. */
export function AheadBoard() {
  const { answer, problem, again } = useSeasons();
  const isEmpty = useHouse((house) => house.residents.length === 0);
  const [view, setView] = useState<View_>('year');
  const [chosen, setChosen] = useState<Day>();
  if (problem !== undefined || !answer) return <Waiting {...{ problem, again }}>Looking a year ahead…</Waiting>;
  if (isEmpty)
    return (
      <Body style={{ marginTop: space.m }}>
        Nobody lives here yet. The months ahead are drawn from whoever moves in.
      </Body>
    );
  const day = chosen ?? answer.from;
  const step = (by: number) => {
    const to = view === 'week' ? addDays(weekOf(day), 7 * by) : monthsOn(monthOf(day), by);
    const last = addDays(answer.from, answer.days - 1);
    setChosen(to < answer.from ? answer.from : to > last ? last : to);
  };
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      <Choices label="How the months are shown" choices={VIEWS} value={view} onChange={setView} />
      {view === 'year' ? <Year seasons={answer} /> : null}
      {view !== 'year' ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
          <Button rank="second" title="Earlier" onPress={() => step(-1)} />
          <Heading style={{ flex: 1, textAlign: 'center' }}>
            {view === 'week' ? `Week of ${dateWords(weekOf(day))}` : monthWords(monthOf(day))}
          </Heading>
          <Button rank="second" title="Later" onPress={() => step(1)} />
        </View>
      ) : null}
      {view === 'month' ? (
        <>
          <MonthGrid seasons={answer} month={monthOf(day)} chosen={day} onChoose={setChosen} />
          <Soft>
            Soil in a day is its work. V move, O box outgrown, M moult, H hatching, E moths come out, P pairing night, W
            first workers, R rest begins, each on its likeliest day.
          </Soft>
          <DayList seasons={answer} day={day} today={answer.from} />
        </>
      ) : null}
      {view === 'week' ? <Week seasons={answer} monday={weekOf(day)} /> : null}
    </View>
  );
}

/** What comes next of each kind, under the strip. */
function Year({ seasons }: { seasons: Seasons }) {
  const isWide = useIsWide();
  const next = seasons.marks
    .filter((mark) => (mark.median ?? mark.from) >= seasons.from)
    .sort((a, b) => (a.median ?? a.from).localeCompare(b.median ?? b.from))
    .slice(0, 12);
  return (
    <>
      {isWide ? null : <Pictures seasons={seasons} />}
      <Heading>Next</Heading>
      {next.length === 0 ? <Body>Nothing is foreseen yet.</Body> : null}
      {next.map((mark, index) => (
        <MarkRow key={`${mark.residentId} ${mark.kind} ${index}`} mark={mark} today={seasons.from} />
      ))}
    </>
  );
}

/** On a wide screen the year has the other pane to itself. */
export function YearPane() {
  const { answer } = useSeasons();
  if (!answer) return null;
  return (
    <Screen isWhole>
      <Title>Twelve months</Title>
      <Pictures seasons={answer} />
    </Screen>
  );
}

const PICTURES = [
  ...LANES.map(({ kind, title }) => ({ value: kind, title })),
  { value: 'all', title: 'All, and work' },
] as const;
type Picture = (typeof PICTURES)[number]['value'];

/** The year by one of what is foreseen, or all of it over the work of each day. */
function Pictures({ seasons }: { seasons: Seasons }) {
  const [picture, setPicture] = useKept<Picture>('/seasons picture', 'moult');
  return (
    <View style={{ gap: space.m }}>
      <Choices label="What is drawn" choices={PICTURES} value={picture} onChange={setPicture} />
      {picture === 'all' ? <StripWithKey seasons={seasons} /> : <MarkRidges seasons={seasons} kind={picture} />}
    </View>
  );
}

function StripWithKey({ seasons }: { seasons: Seasons }) {
  return (
    <>
      <YearStrip seasons={seasons} />
      <Soft>
        Bars are windows in which eight of ten would fall, the stroke is the likeliest day. Grey is when nobody is
        there.
      </Soft>
    </>
  );
}

function Week({ seasons, monday }: { seasons: Seasons; monday: Day }) {
  const days = Array.from({ length: 7 }, (_, index) => addDays(monday, index)).filter((day) => day >= seasons.from);
  return (
    <>
      {days.map((day) => (
        <View key={day} style={{ gap: space.xs, marginTop: space.m }}>
          <Strong>{`${weekday(day)}, ${dayWords(day, seasons.from)}: ${minutesOn(seasons, day)} min`}</Strong>
          {isAway(seasons, day) ? <Soft>Nobody of the house is there.</Soft> : null}
          {headlinesOn(seasons, day).map((mark, index) => (
            <MarkRow key={`${mark.residentId} ${mark.kind} ${index}`} mark={mark} today={seasons.from} />
          ))}
        </View>
      ))}
    </>
  );
}
