import { View } from 'react-native';
import type { ColonyFacts } from '@/contract/colony';
import { holdsCourse } from '@/core/colony/expected';
import { growsFungus, movingPlan, nestAdvice, type NestAdvice } from '@/core/colony/nestSteps';
import type { ColonyForecast } from '@/core/colony/project';
import { addDays } from '@/core/measure/day';
import type { CareProfile } from '@/core/profiles/profile';
import { Fold } from '../kit/Fold';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { MOVE_ACT_WORDS, volumeWords } from '@/words/colony';
import { dayWords } from '@/words/days';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';
import { countWords } from '@/words/count';

interface Props {
  profile: CareProfile;
  facts: ColonyFacts;
  nest: NonNullable<ColonyFacts['nest']>;
  forecast: ColonyForecast;
}

/** A module is chosen for this long ahead. weeks */
const AHEAD_WEEKS = 26;

/** A nest by its modules: how full, what to close or to add and when, and how the colony is moved. */
export function NestPanel({ profile, facts, nest, forecast }: Props) {
  const length = useLength();
  const { asOf, heads } = facts;
  const { volumeMl, chambers, tubeBoreMm, outworldL, perHeadMl } = nest;
  const ahead = forecast.series[AHEAD_WEEKS]?.stages.worker?.median ?? heads;
  const advice = nestAdvice({ profile, workers: heads, ahead, volumeMl, perHeadMl });
  const tube = tubeBoreMm === null ? 'no tube' : `tube ${length.long(tubeBoreMm)} wide`;
  return (
    <View style={{ gap: space.xs, marginTop: space.xl }}>
      <Heading>Nest</Heading>
      <Strong>{fullWords(advice)}</Strong>
      <Soft>
        {`${countWords(chambers, 'chamber')}, ${volumeWords(volumeMl)} in all; ${tube}; ` +
          `${outworldL === null ? 'no outworld' : `outworld ${volumeWords(1000 * outworldL)}`}`}
      </Soft>
      <Body>{adviceWords(advice, facts)}</Body>
      <Fold title="Moving into a new nest">
        {movingPlan(addDays(asOf, 1), profile).map(({ on, what }) => (
          <Body key={what}>{capital(`${dayWords(on, asOf)}: ${MOVE_ACT_WORDS[what]}`)}</Body>
        ))}
        <Soft>
          {growsFungus(profile)
            ? 'Gloves and long tweezers: large workers cut skin.'
            : 'They may take a day or weeks. Do not shake or flood them out.'}
        </Soft>
      </Fold>
    </View>
  );
}

function adviceWords({ verdict, closeMl, nextModuleMl }: NestAdvice, colony: ColonyFacts): string {
  const { splitOn: fullOn, asOf } = colony;
  if (closeMl !== null) {
    const much = verdict === 'far-too-large' ? 'Far too much empty space' : 'Too much empty space';
    return `${much}: spare chambers become rubbish tips. Close off about ${volumeWords(closeMl)}, and add nothing.`;
  }
  if (nextModuleMl === null) return 'Room for half a year: add nothing now.';
  const size = `up to ${volumeWords(nextModuleMl)}; leave the old one on`;
  if (verdict === 'full' || (fullOn !== null && fullOn <= asOf)) return `Add a module now, ${size}.`;
  if (fullOn === null && !holdsCourse(colony.verdict)) return 'Add nothing until there are more of them again.';
  if (fullOn === null) return `Not nearly full within a year; the next module may be ${size}.`;
  return `Add a module by ${dayWords(fullOn, asOf)}, ${size}.`;
}

/** "58 % full, 41 to 86 % by how much room each takes". */
const fullWords = ({ fullPct, fullBetween: { min, max } }: NestAdvice): string =>
  `${Math.round(fullPct)} % full, ${Math.round(min)} to ${Math.round(max)} % by how much room each takes`;
