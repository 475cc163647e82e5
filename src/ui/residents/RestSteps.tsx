import { View } from 'react-native';
import { useLog } from '@/client/log';
import type { ResidentRest } from '@/contract/rest';
import type { Resident } from '@/contract/records';
import type { RestingKind } from '@/core/season/rest';
import type { CourseStep } from '@/core/season/restCourse';
import { RestStairs } from '../charts/RestStairs';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { TickCircle } from '../components/TickCircle';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { circle, space } from '../theme/tokens';
import { TELLING_DEGREE_HOURS } from '@/core/season/degreeHours';
import { REST_ACT_WORDS } from '@/words/rest';
import { REST_PHASE_WORDS, restWarningWords, stepPlaceWords } from '@/words/winter';
import { dayWords, daysWords } from '@/words/days';
import { alarmWords } from '@/words/jobs';
import { calledWords } from '@/words/residents';
import { useTemperature, type TemperatureWords } from '@/words/temperature';
import { capital } from '@/words/text';
import { listWords } from '@/words/count';

type Rest = NonNullable<ResidentRest['rest']>;
interface Props {
  resident: Resident;
  answer: ResidentRest;
  kind: RestingKind;
  rest: Rest;
}

/** So many of the steps to come are shown; the others are folded away. */
const NEXT_STEPS = 4;

/** A rest under way: how it stands, the staircase with what was measured, and its steps to tick. */
export function RestSteps({ resident, answer, kind, rest }: Props) {
  const styles = useStyles();
  const temperature = useTemperature();
  const write = useLog((log) => log.write);
  const undo = useLog((log) => log.undo);
  const { asOf } = answer;
  const { course, place, id, alarms, warnings } = rest;
  const open = course.steps.filter((step) => step.doneOn === null && !step.isPassed && step.what !== 'hold');
  const past = course.steps.filter((step) => step.doneOn !== null || step.isPassed);
  const tick = (step: CourseStep) =>
    void write(
      { kind: 'rest-step', residentId: resident.id, step: step.key, answers: `rest ${id} ${step.key}` },
      `${calledWords(resident)}: ${REST_ACT_WORDS[step.what].toLowerCase()}.`,
    );
  return (
    <View style={{ gap: space.s, marginTop: space.l }}>
      <Heading>{capital(REST_PHASE_WORDS[course.phase])}</Heading>
      <Strong>{`${placeNow(rest) ?? place}: now ${temperature.long(course.targetC)}, over about ${dayWords(course.endsOn, asOf)}`}</Strong>
      {alarms.map((each) => (
        <Body
          key={`${each.probeId} ${each.kind}`}
          style={styles.loud}
        >{`Look now. ${alarmWords(each, temperature)}`}</Body>
      ))}
      {course.lateDays > 0 ? (
        <Body>{`It runs ${daysWords(course.lateDays)} late: what follows has moved, its end stays.`}</Body>
      ) : null}
      {course.isShort ? (
        <Body>So little time is left that the cold is hardly worth it: think of giving it up.</Body>
      ) : null}
      {warnings.map((warning) => (
        <Soft key={warning}>{restWarningWords(warning, rest, kind, temperature)}</Soft>
      ))}
      <RestStairs
        label={`${capital(REST_PHASE_WORDS[course.phase])}, at ${temperature.long(course.targetC)}; over about ${dayWords(course.endsOn, asOf)}`}
        steps={course.steps}
        measured={rest.measured}
        band={kind.bandC}
        floorC={kind.floorC.value}
        today={asOf}
        temperature={temperature.long}
        day={(on) => dayWords(on, asOf)}
      />
      <Soft>
        {`Shaded: where it should be. Dotted: never below. Dots: looked in.${rest.measured.length > 0 ? ' Thin line: measured in its place.' : ''}`}
      </Soft>
      {rest.degreeHours ? <Body>{degreeHoursWords(rest.degreeHours, rest.isAsWanted)}</Body> : null}
      <Heading>Next</Heading>
      {open.slice(0, NEXT_STEPS).map((step) => (
        <View key={step.key} style={styles.step}>
          <View style={styles.words}>
            <Strong>{stepWords(step, temperature)}</Strong>
            {stepPlaceWords(step.what, step.place) === '' ? null : (
              <Soft>{capital(stepPlaceWords(step.what, step.place))}</Soft>
            )}
            <Soft>{`${dayWords(step.on, asOf)}${step.on > step.plannedOn ? `, planned for ${dayWords(step.plannedOn, asOf)}` : ''}`}</Soft>
          </View>
          {step.on <= asOf ? (
            <TickCircle
              label={stepWords(step, temperature)}
              done={false}
              pressing={step.plannedOn < asOf}
              onPress={() => tick(step)}
            />
          ) : null}
        </View>
      ))}
      <Soft>Count and weigh before and after under “Write down”, “A size or a count”.</Soft>
      {rest.before ? <Body>{`Went in: ${rest.before.heads}, counted ${dayWords(rest.before.on, asOf)}.`}</Body> : null}
      {rest.weights.before ? <Body>{`Weighed ${rest.weights.before.massG} g before.`}</Body> : null}
      {rest.after ? <Body>{`Came out: ${rest.after.heads}, counted ${dayWords(rest.after.on, asOf)}.`}</Body> : null}
      <Fold title="All steps">
        {[...past, ...open].map((step) => (
          <Body key={step.key}>
            {`${dayWords(step.on, asOf)}: ${stepWords(step, temperature)}${step.doneOn !== null ? ', done' : step.isPassed ? ', left out' : ''}`}
          </Body>
        ))}
      </Fold>
      <LinkRow
        links={[
          {
            title: course.phase === 'before' ? 'Give the plan up' : 'Break the rest off',
            onPress: () =>
              course.phase === 'before' && past.length === 0
                ? void undo(id)
                : void write(
                    { kind: 'rest-ended', residentId: resident.id },
                    `${calledWords(resident)}: rest given up.`,
                  ),
          },
        ]}
      />
    </View>
  );
}

/** Where it is by the last step that was made, up or down; null before the first. */
function placeNow({ course, place }: Rest): string | null {
  if (course.phase === 'cold') return place;
  const made = course.steps.findLast(({ what, doneOn }) => (what === 'cool' || what === 'warm') && doneOn !== null);
  return made ? (made.place ?? 'Between two places') : null;
}

function stepWords({ what, targetC }: CourseStep, temperature: TemperatureWords): string {
  const word = REST_ACT_WORDS[what];
  return what === 'cool' || what === 'warm' ? `${word} to ${temperature.long(targetC)}` : word;
}

function degreeHoursWords({ above, below, hours }: NonNullable<Rest['degreeHours']>, isAsWanted: boolean): string {
  const days = daysWords(Math.max(1, Math.round(hours / 24)));
  if (isAsWanted) return `Measured over ${days}: always where it should be.`;
  const parts = [
    ...(above >= TELLING_DEGREE_HOURS ? [`${Math.round(above)} degree-hours too warm`] : []),
    ...(below >= TELLING_DEGREE_HOURS ? [`${Math.round(below)} degree-hours too cold`] : []),
  ];
  return `Measured over ${days}: ${listWords(parts)}.`;
}

const useStyles = makeStyles((theme) => ({
  step: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: circle },
  words: { flex: 1, gap: space.hair },
  loud: { color: theme.colors.clay },
}));
