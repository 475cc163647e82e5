import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { ResidentRest } from '@/contract/rest';
import type { Resident } from '@/contract/records';
import { Refusal } from '@/core/refusal';
import { restPlan, type RestingKind, type RestPlan } from '@/core/season/rest';
import { RestStairs } from '../charts/RestStairs';
import { Fold } from '../kit/Fold';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { NobodyHere } from '../residents/NobodyHere';
import { RestSteps } from '../residents/RestSteps';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { REST_ACT_WORDS } from '@/words/rest';
import { powerCutWords, restWarningWords, stepPlaceWords } from '@/words/winter';
import { placeHolding } from '@/core/season/places';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { capital } from '@/words/text';
import { Waiting } from '../kit/Waiting';

/** The winter of one resident: a plan to choose a place for, or the rest that is under way. */
export function RestScreen({ residentId }: { residentId: string }) {
  const round = useHouse((house) => house.round);
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const loading = useLoadState();
  const { answer, problem, again } = useCall(round, () => call('residentRest', { params: { id: residentId } }));
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident) return <NobodyHere />;
  return (
    <Screen>
      <PaneHeader back={`/residents/${resident.id}`} title="Back" />
      <Title>Winter rest</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{calledWords(resident)}</Soft>
      <Cautions who={resident} before="open" />
      {answer && problem === undefined ? null : <Waiting {...{ problem, again }}>Looking it up…</Waiting>}
      {answer ? <Winter answer={answer} resident={resident} /> : null}
    </Screen>
  );
}

function Winter({ answer, resident }: { answer: ResidentRest; resident: Resident }) {
  const temperature = useTemperature();
  const { kind, rest } = answer;
  if (!kind) return <Body>Nobody gave the winter of this kind.</Body>;
  if (kind.need === 'never') return <Body>{`It is not cooled down. ${kind.why}`}</Body>;
  return (
    <>
      <Body style={{ marginTop: space.m }}>
        {kind.need === 'must'
          ? `It needs one. ${kind.why}`
          : `It may have one; both ways are kept. ${kind.why} Without it they grow on through the winter, faster at first.`}
      </Body>
      {rest && rest.course.phase !== 'over' ? (
        <RestSteps resident={resident} answer={answer} kind={kind} rest={rest} />
      ) : (
        <>
          {rest ? <Over answer={answer} rest={rest} /> : null}
          <PlanForm answer={answer} resident={resident} kind={kind} />
        </>
      )}
      <Fold title="After a power cut">
        {powerCutWords(temperature).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      </Fold>
    </>
  );
}

function Over({ answer, rest }: { answer: ResidentRest; rest: NonNullable<ResidentRest['rest']> }) {
  const { before, after, course, weights } = rest;
  return (
    <View style={{ gap: space.xs, marginTop: space.l }}>
      <Heading>The last one</Heading>
      <Body>
        {`Over since ${dayWords(course.endsOn, answer.asOf)}.` +
          (before && after ? ` ${before.heads} went in, ${after.heads} came out.` : '') +
          (weights.before && weights.after ? ` ${weights.before.massG} g before, ${weights.after.massG} g after.` : '')}
      </Body>
    </View>
  );
}

/** A place and a day are chosen, the plan is looked at, and kept. */
function PlanForm({ answer, resident, kind }: { answer: ResidentRest; resident: Resident; kind: RestingKind }) {
  const temperature = useTemperature();
  const write = useLog((log) => log.write);
  const hemisphere = useHouse((house) => house.hemisphere);
  const { asOf, roomC, places } = answer;
  const form = useFields({ roomId: bestPlace(places, kind)?.roomId ?? '', startOn: '' });
  const { roomId } = form.values;
  const place = places.find((each) => each.roomId === roomId);
  const startOn = form.values.startOn === '' ? undefined : form.values.startOn;
  const plan = place
    ? planOrReason({ kind, hemisphere, asOf, startOn, roomC, placeC: place.temperatureC })
    : 'Choose a place.';
  const keep = () =>
    write(
      { kind: 'rest-planned', residentId: resident.id, roomId, ...(startOn !== undefined && { startOn }) },
      `${calledWords(resident)}: rest planned.`,
      form.place,
    );
  return (
    <View style={{ gap: space.s, marginTop: space.l }}>
      <Heading>Plan it</Heading>
      <FormChoices
        control={form.control}
        name="roomId"
        label="Where it rests"
        choices={places.map((each) => ({
          value: each.roomId,
          title: `${each.name}, ${temperature.long(each.temperatureC)}`,
        }))}
      />
      <Soft>
        A refrigerator or a cellar is a room of the house with a shelf of its own, and best with a probe: add one with a
        box on the Wall.
      </Soft>
      <FormDay
        control={form.control}
        name="startOn"
        label="Begin cooling on"
        none="with its season"
        isOptional
        min={asOf}
      />
      {typeof plan === 'string' ? (
        <Body>{plan}</Body>
      ) : (
        <>
          <Strong>
            {capital(
              `${dayWords(plan.beginsOn, asOf)} to ${dayWords(plan.endsOn, asOf)}, at ${temperature.long(plan.restC)}`,
            )}
          </Strong>
          {plan.endsBetween.from < plan.endsBetween.to ? (
            <Soft>{`Others of its kind are warmed up between ${dayWords(plan.endsBetween.from, asOf)} and ${dayWords(plan.endsBetween.to, asOf)}.`}</Soft>
          ) : null}
          {plan.warnings.map((warning) => (
            <Body key={warning}>
              {restWarningWords(
                warning,
                { place: place?.name ?? '', placeC: place?.temperatureC ?? 0, roomC },
                kind,
                temperature,
              )}
            </Body>
          ))}
          <RestStairs
            label={`From ${temperature.long(roomC)} down to ${temperature.long(plan.restC)} by steps, and up again by ${dayWords(plan.endsOn, asOf)}`}
            steps={plan.steps}
            measured={[]}
            band={kind.bandC}
            floorC={kind.floorC.value}
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
                {[
                  `${dayWords(step.on, asOf)}: ${REST_ACT_WORDS[step.what]}, ${temperature.long(step.targetC)}`,
                  stepPlaceWords(step.what, placeHolding(step.targetC, places)),
                ]
                  .filter((words) => words !== '')
                  .join(', ')}
              </Body>
            ))}
          </Fold>
          <Form form={form} act="Rest by this plan" disabled={plan.warnings.includes('place-below-floor')} save={keep}>
            {null}
          </Form>
        </>
      )}
    </View>
  );
}

/** The place nearest to the middle of the band that is not below the floor. */
function bestPlace(places: ResidentRest['places'], { bandC, floorC }: RestingKind) {
  const middle = (bandC.min + bandC.max) / 2;
  const away = ({ temperatureC }: ResidentRest['places'][number]) => Math.abs(temperatureC - middle);
  return places.filter((each) => each.temperatureC >= floorC.value).sort((a, b) => away(a) - away(b))[0];
}

/** The plan, or why there is none. */
function planOrReason(question: Parameters<typeof restPlan>[0]): RestPlan | string {
  try {
    return restPlan(question);
  } catch (error) {
    if (error instanceof Refusal) return error.fields.map((field) => field.message).join(' ');
    throw error;
  }
}
