import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { colonyWorker } from '@/client/colonyWorker';
import { problemOf, useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { ColonyFacts } from '@/contract/colony';
import type { ColonyForecast } from '@/core/colony/project';
import { addDays } from '@/core/measure/day';
import type { Resident } from '@/contract/records';
import { StageAreas } from '../charts/StageAreas';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { bandWords, headsWords, stageWords } from '../words/colony';
import { dayWords } from '../words/days';
import { capital } from '../words/text';
import { useTemperature } from '../words/temperature';
import { WinterRest } from './WinterRest';

const WEEKS = 52;

/** How a colony or a culture will grow in a year, what its room bears, what may be taken out, and its winter. */
export function ColonyAhead({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const { answer: facts, problem } = useCall(round, () => call('residentColony', { params: { id: resident.id } }));
  if (problem !== undefined) return <Body>{problem}</Body>;
  if (!facts) return null;
  return (
    <>
      {facts.kind ? <Course facts={facts} /> : null}
      {facts.rest && facts.rest.need !== 'never' ? <WinterRest facts={facts} /> : null}
    </>
  );
}

interface Worked {
  forecast: ColonyForecast;
  harvest: number;
}

function Course({ facts }: { facts: ColonyFacts }) {
  const temperature = useTemperature();
  const [worked, setWorked] = useState<Worked | null>(null);
  const [problem, setProblem] = useState<string>();
  const { kind, counts, queens, temperatureC, roomForHeads, asOf } = facts;
  useEffect(() => {
    if (!kind) return undefined;
    let isCurrent = true;
    const question = { kind, counts, queens, temperatureC, ...(roomForHeads !== null && { roomForHeads }) };
    const worker = colonyWorker();
    Promise.all([worker.course({ ...question, weeks: WEEKS }), worker.lastingHarvest(question)]).then(
      ([forecast, harvest]) => isCurrent && setWorked({ forecast, harvest }),
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
    // The facts come anew with every entry.
  }, [facts, kind, counts, queens, temperatureC, roomForHeads]);
  if (!kind) return null;
  if (problem !== undefined) return <Body>{problem}</Body>;
  if (!worked) return <Soft role="status">Counting ahead…</Soft>;
  const { series, firstWorkersWeek, crowdedWeek } = worked.forecast;
  const end = series.at(-1);
  const names = [kind.adults, ...kind.young.map((stage) => stage.id).reverse()];
  const now = names.reduce((sum, name) => sum + (counts[name] ?? 0), 0);
  const isCulture = kind.laying.by === 'female';
  const label = end
    ? `In ${WEEKS} weeks ${bandWords(end.total)} heads, of them ${names.map((name) => `${headsWords(end.stages[name]?.median ?? 0)} ${stageWords(name)}`).join(', ')}`
    : '';
  return (
    <View style={{ gap: space.xs, marginTop: space.xl }}>
      <Heading>In a year</Heading>
      {end ? (
        <Strong>
          {capital(`${bandWords(end.stages[kind.adults] ?? end.total)} ${stageWords(kind.adults)} in 12 months`)}
        </Strong>
      ) : null}
      {firstWorkersWeek ? (
        <Body>
          {`First workers about ${dayWords(addDays(asOf, Math.round(7 * firstWorkersWeek.median)), asOf)}. Until then no food, and no disturbing.`}
        </Body>
      ) : null}
      <StageAreas label={label} weeks={series} stages={names} room={roomForHeads} />
      <Soft>
        {`From below: ${names.map(stageWords).join(', ')}. Dashed: between these in 8 of 10 colonies. ` +
          `At ${temperature.long(temperatureC)}${roomForHeads === null ? '' : `, room for about ${headsWords(roomForHeads)}`}.`}
      </Soft>
      {roomForHeads === null ? null : <Body>{roomWords(now, roomForHeads, crowdedWeek, asOf, isCulture)}</Body>}
      {isCulture && worked.harvest >= 1 ? (
        <Body>{`About ${headsWords(worked.harvest)} grown ones a week may be taken out for ever.`}</Body>
      ) : null}
      {facts.estimated.length > 0 ? (
        <Soft>{`Nobody counted the ${facts.estimated.map(stageWords).join(', ')}: what is usual beside so many is taken.`}</Soft>
      ) : null}
    </View>
  );
}

/** More than so much empty nest becomes a rubbish tip. From memory */
const EMPTY_SHARE = 0.15;

function roomWords(now: number, room: number, crowdedWeek: number | null, asOf: string, isCulture: boolean): string {
  const full = `${Math.round((100 * now) / room)} % of its room is taken`;
  if (crowdedWeek === 0)
    return `${full}: ${isCulture ? 'split it now, and keep the old soil' : 'add a module now, leave the old one on'}.`;
  if (!isCulture && now < EMPTY_SHARE * room)
    return `${full}: far too much empty space. Spare chambers become rubbish tips; close some.`;
  if (crowdedWeek === null) return `${full}; it is not crowded within a year.`;
  const day = dayWords(addDays(asOf, 7 * crowdedWeek), asOf);
  return `${full}; crowded about ${day}: ${isCulture ? 'split it then, and keep the old soil' : 'add a module by then'}.`;
}
