import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Brood } from '@/contract/broods';
import type { Resident } from '@/contract/records';
import type { Mating } from '@/core/broods/eggs';
import { Failed } from '../kit/Failed';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { countOrNoneCheck, countOrNoneIn, needed } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { HatchWeeks } from '../seasons/HatchWeeks';
import { space } from '../theme/tokens';
import { bareWords, expectedWords, keptAllWords, surplusWords } from '@/words/broods';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';

/** A batch of eggs: when they hatch and how many a week, what keeping them all would take, what becomes of them. */
export function EggsAhead({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const { answer, problem, again } = useCall(round, () => call('broods', {}));
  const brood = answer?.broods.find((each) => each.residentId === resident.id);
  if (problem !== undefined) return <Failed {...{ problem, again }} />;
  if (!answer || !brood) return null;
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>Hatching</Heading>
      <Forecast brood={brood} asOf={answer.asOf} />
      {brood.coldWeeks === null ? null : (
        <LinkRow links={[{ title: 'Winter rest', onPress: () => router.push(`/residents/${resident.id}/rest`) }]} />
      )}
      <Fold title="When they were laid">
        <LaidForm resident={resident} brood={brood} />
      </Fold>
      <Fold title="What becomes of the young">
        <SurplusForm resident={resident} brood={brood} />
      </Fold>
    </View>
  );
}

const LEAST_SPAN = 8;

function Forecast({ brood, asOf }: { brood: Brood; asOf: string }) {
  const length = useLength();
  const temperature = useTemperature();
  const { forecast, problem, isGuessed, laidFrom, laidTo, coldWeeks, warmSince, surplus, temperatureC } = brood;
  const kept = keptAllWords(brood, asOf, length);
  const laid = `${dayWords(laidFrom, asOf)}${laidTo === laidFrom ? '' : ` to ${dayWords(laidTo, asOf)}`}`;
  return (
    <>
      {forecast ? (
        <>
          <HatchWeeks brood={brood} asOf={asOf} span={Math.max(LEAST_SPAN, forecast.weeks.length)} />
          <Body>{`${expectedWords(brood)} will hatch.`}</Body>
          <Soft>
            {`${isGuessed ? 'Nobody wrote down when they were laid: the day they came is taken, ' : 'Laid '}${laid}; kept at ${temperature.long(temperatureC)}.`}
          </Soft>
          {forecast.isOverdue && forecast.weeks.length > 0 ? (
            <Body>
              Most batches of this age have begun to hatch: keep them, damp as they are, at least as long again.
            </Body>
          ) : null}
        </>
      ) : (
        <Body>{problem}</Body>
      )}
      {coldWeeks === null ? null : (
        <Soft>
          {`They want about ${coldWeeks} weeks of cold first; their days count from when they are warm again${warmSince === null ? '' : `, ${dayWords(warmSince, asOf)}`}. Leaves at hand before that.`}
        </Soft>
      )}
      {brood.bareUntil === null ? null : <Strong>{bareWords(brood.bareUntil, asOf)}</Strong>}
      {kept === null ? null : <Body>{kept}</Body>}
      {surplus ? <Strong>{surplusWords(surplus)}</Strong> : null}
    </>
  );
}

const MATINGS: { value: Mating; title: string }[] = [
  { value: 'mated', title: 'Mother mated' },
  { value: 'unmated', title: 'Never with a male' },
  { value: 'unknown', title: 'Nobody knows' },
];

interface LaidValues {
  laidFrom: string;
  laidTo: string;
  mating: Mating;
}

function LaidForm({ resident, brood }: { resident: Resident; brood: Brood }) {
  const write = useLog((log) => log.write);
  const today = useHouse((house) => house.round?.on);
  const form = useFields<LaidValues>({
    laidFrom: brood.laidFrom,
    laidTo: brood.laidTo === brood.laidFrom ? '' : brood.laidTo,
    mating: brood.mating,
  });
  const { control, values } = form;
  const save = ({ laidFrom, laidTo, mating }: LaidValues) =>
    write(
      { kind: 'laid', residentId: resident.id, laidFrom, ...(laidTo !== '' && { laidTo }), mating },
      `${calledWords(resident)}: written down.`,
      form.place,
    );
  return (
    <Form form={form} act="Write down" save={save}>
      <FormDay control={control} name="laidFrom" label="First laid" check={needed('Choose the day.')} max={today} />
      <FormDay
        control={control}
        name="laidTo"
        label="Last laid"
        none="the same day"
        isOptional
        min={values.laidFrom || undefined}
        max={today}
      />
      <FormChoices control={control} name="mating" label="The mother" choices={MATINGS} />
    </Form>
  );
}

function SurplusForm({ resident, brood }: { resident: Resident; brood: Brood }) {
  const write = useLog((log) => log.write);
  const { surplus, feedOff: feeding, freezing } = brood;
  const first = (count: number | undefined) => (count === undefined || count === 0 ? '' : String(count));
  const start = { keep: first(surplus?.keep), passOn: first(surplus?.passOn), feedOff: first(surplus?.feedOff) };
  const form = useFields(start);
  const save = (typed: typeof start) => {
    const count = (text: string) => countOrNoneIn(text) ?? 0;
    const plan = { keep: count(typed.keep), passOn: count(typed.passOn), feedOff: count(typed.feedOff) };
    const entry = { kind: 'surplus', residentId: resident.id, ...plan } as const;
    return write(entry, `${calledWords(resident)}: plan written down.`, form.place);
  };
  const field = (name: keyof typeof start, label: string, hint?: string) => (
    <FormField
      control={form.control}
      name={name}
      label={label}
      check={countOrNoneCheck}
      hint={hint}
      steps={{ least: 0, most: 1_000_000 }}
    />
  );
  return (
    <Form form={form} act="Plan it so" save={save}>
      {field('keep', 'To keep')}
      {field('passOn', 'To pass on')}
      {feeding && !feeding.isSafe ? (
        <Soft>{`None to feed off. ${feeding.why}`}</Soft>
      ) : (
        field('feedOff', 'To feed off', feeding?.why)
      )}
      <Soft>{`Eggs beyond that: ${(freezing ?? 'freeze at least 24 hours, then throw away.').replace(/^./, (letter) => letter.toLowerCase())} Nothing is ever released: not here, not where it came from.`}</Soft>
    </Form>
  );
}
