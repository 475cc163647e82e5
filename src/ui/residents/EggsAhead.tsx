import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Brood } from '@/contract/broods';
import type { Resident } from '@/contract/records';
import type { Mating } from '@/core/broods/eggs';
import type { Day } from '@/core/measure/day';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { countOrNoneIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { HatchWeeks } from '../seasons/HatchWeeks';
import { DayInput } from '../kit/DayInput';
import { space } from '../theme/tokens';
import { expectedWords, keptAllWords, surplusWords } from '@/words/broods';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';

/** A batch of eggs: when they hatch and how many a week, what keeping them all would take, what becomes of them. */
export function EggsAhead({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const { answer, problem } = useCall(round, () => call('broods', {}));
  const brood = answer?.broods.find((each) => each.residentId === resident.id);
  if (problem !== undefined) return <Body>{problem}</Body>;
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

function LaidForm({ resident, brood }: { resident: Resident; brood: Brood }) {
  const write = useLog((log) => log.write);
  const [mating, setMating] = useState(brood.mating);
  const today = useHouse((house) => house.round?.on);
  const [from, setFrom] = useState<Day | ''>(brood.laidFrom);
  const [to, setTo] = useState<Day | ''>(brood.laidTo === brood.laidFrom ? '' : brood.laidTo);
  const save = () => {
    void write(
      { kind: 'laid', residentId: resident.id, laidFrom: from, ...(to !== '' && { laidTo: to }), mating },
      `${calledWords(resident)}: written down.`,
    );
  };
  return (
    <View style={{ gap: space.m }}>
      <DayInput label="First laid" value={from} onChange={setFrom} max={today} />
      <DayInput
        label="Last laid"
        value={to}
        onChange={setTo}
        none="the same day"
        isOptional
        min={from || undefined}
        max={today}
      />
      <Choices label="The mother" choices={MATINGS} value={mating} onChange={setMating} />
      <Button title="Write down" onPress={save} />
    </View>
  );
}

function SurplusForm({ resident, brood }: { resident: Resident; brood: Brood }) {
  const write = useLog((log) => log.write);
  const { surplus, feedOff: feeding, freezing } = brood;
  const first = (count: number | undefined) => (count === undefined || count === 0 ? '' : String(count));
  const fields = {
    keep: useTyped(first(surplus?.keep)),
    passOn: useTyped(first(surplus?.passOn)),
    feedOff: useTyped(first(surplus?.feedOff)),
  };
  const save = () => {
    const [keep, passOn, feedOff] = [fields.keep, fields.passOn, fields.feedOff].map((field) => {
      const count = countOrNoneIn(field.text);
      if (count === undefined) field.refuse('A whole number from 0 up.');
      return count;
    });
    if (keep === undefined || passOn === undefined || feedOff === undefined) return;
    const entry = { kind: 'surplus', residentId: resident.id, keep, passOn, feedOff } as const;
    void write(entry, `${calledWords(resident)}: plan written down.`);
  };
  return (
    <View style={{ gap: space.m }}>
      <Field label="To keep" {...fields.keep.field} keyboard="number-pad" />
      <Field label="To pass on" {...fields.passOn.field} keyboard="number-pad" />
      {feeding && !feeding.isSafe ? (
        <Soft>{`None to feed off. ${feeding.why}`}</Soft>
      ) : (
        <Field label="To feed off" {...fields.feedOff.field} hint={feeding?.why} keyboard="number-pad" />
      )}
      <Soft>{`Eggs beyond that: ${(freezing ?? 'freeze at least 24 hours, then throw away.').replace(/^./, (letter) => letter.toLowerCase())} Nothing is ever released: not here, not where it came from.`}</Soft>
      <Button title="Plan it so" onPress={save} />
    </View>
  );
}
