import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { colonyWorker } from '@/client/colonyWorker';
import { problemOf, useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { ColonyFacts } from '@/contract/colony';
import { usableOn, type SafeHarvest } from '@/core/colony/culture';
import { holdsCourse } from '@/core/colony/expected';
import { stagesOf } from '@/core/colony/kind';
import type { ColonyForecast } from '@/core/colony/project';
import type { CareProfile } from '@/core/profiles/profile';
import type { Resident } from '@/contract/records';
import { StageAreas } from '../charts/StageAreas';
import { LinkRow } from '../components/LinkRow';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import {
  ANT_VERDICT_WORDS,
  bandWords,
  castesWords,
  harvestWords,
  headsWords,
  stageCountsWords,
  stageWords,
  VERDICT_WORDS,
} from '@/words/colony';
import { dayWords } from '@/words/days';
import { capital } from '@/words/text';
import { useTemperature } from '@/words/temperature';
import { FoundingDiary } from './FoundingDiary';
import { NestPanel } from './NestPanel';
import { TubsPanel } from './TubsPanel';
import { Failed } from '../kit/Failed';
import { Waiting } from '../kit/Waiting';

/** How a colony or a culture stands and will grow in a year, what its room bears, what may be taken out, its winter. */
export function ColonyAhead({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const care = useHouse((house) => house.care);
  const {
    answer: facts,
    problem,
    again,
  } = useCall(round, () => call('residentColony', { params: { id: resident.id } }));
  if (problem !== undefined) return <Failed {...{ problem, again }} />;
  if (!facts) return null;
  const profile = care.of(resident);
  return (
    <>
      {facts.kind ? <Standing facts={facts} /> : null}
      {facts.founding ? <FoundingDiary resident={resident} facts={facts} founding={facts.founding} /> : null}
      {facts.kind ? <Course facts={facts} profile={profile} /> : null}
      {facts.rest && facts.rest.need !== 'never' ? (
        <View style={{ marginTop: space.l }}>
          <LinkRow links={[{ title: 'Winter rest', onPress: () => router.push(`/residents/${resident.id}/rest`) }]} />
        </View>
      ) : null}
    </>
  );
}

/** What it holds today by its last count, and what that count says. */
function Standing({ facts }: { facts: ColonyFacts }) {
  const { kind, counts, castes, countedOn, asOf, estimated, verdict, heads, countSpread } = facts;
  if (!kind) return null;
  const words = stageCountsWords(stagesOf(kind).map((stage) => [stage, counts[stage] ?? 0]));
  const nobody = kind.laying.by === 'queen' ? 'Nobody but the queen' : 'Nobody';
  return (
    <View style={{ gap: space.xs, marginTop: space.xl }}>
      <Heading>Today</Heading>
      <Strong>{words === '' ? nobody : `${facts.isCounted ? 'About ' : ''}${words}`}</Strong>
      {castes.length > 1 && heads >= 1 ? <Body>{`Likely ${castesWords(castes)}.`}</Body> : null}
      <Soft>
        {`Counted ${dayWords(countedOn, asOf)}${countSpread > 0 ? ', by estimate' : ''}${facts.isCounted ? ', grown on since' : ''}.` +
          (estimated.length > 0
            ? ` Nobody counted the ${estimated.map(stageWords).join(', ')}: what is usual is taken.`
            : '')}
      </Soft>
      {verdict === null ? null : (
        <Body>{(kind.laying.by === 'queen' ? ANT_VERDICT_WORDS : VERDICT_WORDS)[verdict]}</Body>
      )}
    </View>
  );
}

interface Worked {
  forecast: ColonyForecast;
  harvest: SafeHarvest | null;
}

function Course({ facts, profile }: { facts: ColonyFacts; profile: CareProfile }) {
  const temperature = useTemperature();
  const [worked, setWorked] = useState<Worked | null>(null);
  const [problem, setProblem] = useState<string>();
  const { kind, asOf, roomForHeads } = facts;
  useEffect(() => {
    if (!kind) return undefined;
    let isCurrent = true;
    const { counts, queens, temperatureC, temperaturesC, countSpread, verdict } = facts;
    const question = { kind, counts, queens, countSpread, ...(roomForHeads !== null && { roomForHeads }) };
    const worker = colonyWorker();
    Promise.all([
      worker.course({ ...question, temperatureC: temperaturesC, weeks: temperaturesC.length }),
      kind.laying.by === 'female' && roomForHeads !== null && holdsCourse(verdict)
        ? worker.safeHarvest({ ...question, temperatureC })
        : null,
    ]).then(
      ([forecast, harvest]) => isCurrent && setWorked({ forecast, harvest }),
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
    // The facts come anew with every entry.
  }, [facts, kind, roomForHeads]);
  if (!kind) return null;
  if (problem !== undefined) return <Body>{problem}</Body>;
  if (!worked) return <Waiting>Counting ahead…</Waiting>;
  const { series } = worked.forecast;
  const end = series.at(-1);
  const names = [kind.adults, ...kind.young.map((stage) => stage.id).reverse()];
  const isCulture = kind.laying.by === 'female';
  const rests = series.some((week) => week.isResting);
  const label = end
    ? `In ${series.length - 1} weeks ${bandWords(end.total)} heads, of them ${stageCountsWords(names.map((name) => [name, end.stages[name]?.median ?? 0]))}`
    : '';
  return (
    <>
      <View style={{ gap: space.xs, marginTop: space.xl }}>
        <Heading>{holdsCourse(facts.verdict) ? 'In a year' : 'In a year, if it recovers'}</Heading>
        {isCulture && !facts.isCounted ? <Soft>If every egg is left to hatch with them.</Soft> : null}
        {end ? (
          <Strong>
            {capital(`${bandWords(end.stages[kind.adults] ?? end.total)} ${stageWords(kind.adults)} in 12 months`)}
          </Strong>
        ) : null}
        <StageAreas {...{ label, weeks: series, stages: names, room: roomForHeads }} from={asOf} nameOf={stageWords} />
        <Soft>
          {`From below, grown ones first. Dashed: 8 in 10 colonies lie between. ` +
            `${rests ? 'Hatched: its winter rest. ' : ''}At ${temperature.long(facts.temperatureC)}` +
            `${roomForHeads === null ? '' : `, room for about ${headsWords(roomForHeads)}`}.`}
        </Soft>
        {facts.fullPct === null || !isCulture ? null : <Body>{roomWords(facts, facts.fullPct)}</Body>}
        {worked.harvest ? <Body>{harvestWords(worked.harvest, usableOn(worked.harvest, asOf), asOf)}</Body> : null}
      </View>
      {facts.nest ? <NestPanel profile={profile} facts={facts} nest={facts.nest} forecast={worked.forecast} /> : null}
      {isCulture && kind.headsPerL ? <TubsPanel facts={facts} kind={kind} today={asOf} /> : null}
    </>
  );
}

function roomWords({ splitOn, asOf, isCounted, verdict }: ColonyFacts, fullPct: number): string {
  const full = `${Math.round(fullPct)} % of its room is taken`;
  const act = isCounted ? ['split it', ', and keep the old soil: it is full of young'] : ['give some another box', ''];
  if (splitOn === null && !holdsCourse(verdict)) return `${full}.`;
  if (splitOn === null) return `${full}; it is not nearly full within a year.`;
  if (splitOn <= asOf) return `${full}: ${act[0]} now${act[1]}.`;
  return `${full}; nearly full about ${dayWords(splitOn, asOf)}: ${act[0]} then${act[1]}.`;
}
