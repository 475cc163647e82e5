import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { ColonyFacts } from '@/contract/colony';
import { Refusal } from '@/core/refusal';
import { restPlan, type RestPlan, type RestQuestion } from '@/core/season/rest';
import { RestStairs } from '../charts/RestStairs';
import { Choices } from '../components/Choices';
import { Fold } from '../components/Fold';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { REST_ACT_WORDS, REST_WARNING_WORDS } from '../words/colony';
import { dayWords } from '../words/days';
import { useTemperature } from '../words/temperature';
import { capital } from '../words/text';

/** Where it can rest, and about how cold that is in winter. C, from memory */
const PLACES = [
  { value: 'fridge', title: 'a refrigerator', placeC: 6 },
  { value: 'cellar', title: 'a cellar', placeC: 11 },
  { value: 'unheated', title: 'an unheated room', placeC: 14 },
] as const;

/** The next winter rest as steps with their days, and what speaks against the place. */
export function WinterRest({ facts }: { facts: ColonyFacts }) {
  const temperature = useTemperature();
  const hemisphere = useHouse((house) => house.hemisphere);
  const { rest, asOf, temperatureC } = facts;
  const [place, setPlace] = useState<(typeof PLACES)[number]['value']>('cellar');
  if (!rest || rest.need === 'never') return null;
  const { placeC } = PLACES.find((each) => each.value === place) ?? PLACES[0];
  const plan = planOrReason({ kind: rest, hemisphere, asOf, roomC: temperatureC, placeC });
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>Winter rest</Heading>
      <Body>{`${rest.need === 'must' ? 'It needs one.' : 'It may have one.'} ${rest.why}`}</Body>
      <Choices label="Where it rests" choices={PLACES} value={place} onChange={setPlace} />
      {typeof plan === 'string' ? (
        <Body>{plan}</Body>
      ) : (
        <>
          <Strong>
            {capital(
              `${dayWords(plan.beginsOn, asOf)} to ${dayWords(plan.endsOn, asOf)}, at ${temperature.long(plan.restC)}`,
            )}
          </Strong>
          {plan.warnings.map((warning) => (
            <Body key={warning}>{REST_WARNING_WORDS[warning]}</Body>
          ))}
          <RestStairs
            label={`From ${temperature.long(temperatureC)} down to ${temperature.long(plan.restC)} by steps, and up again by ${dayWords(plan.endsOn, asOf)}`}
            steps={plan.steps}
            band={rest.bandC}
            floorC={rest.floorC.value}
            today={asOf}
            temperature={temperature.long}
            day={(on) => dayWords(on, asOf)}
          />
          <Soft>
            Shaded: where it should be. Dotted: never below. Dots: looked in. Water stays with it all the time.
          </Soft>
          <Fold title="Every step">
            {plan.steps.map((step, index) => (
              <Body key={`${step.on} ${step.what} ${index}`}>
                {`${dayWords(step.on, asOf)}: ${REST_ACT_WORDS[step.what]}, ${temperature.long(step.targetC)}`}
              </Body>
            ))}
          </Fold>
        </>
      )}
    </View>
  );
}

/** The plan, or why there is none. */
function planOrReason(question: RestQuestion): RestPlan | string {
  try {
    return restPlan(question);
  } catch (error) {
    if (error instanceof Refusal) return error.fields.map((field) => field.message).join(' ');
    throw error;
  }
}
