import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { countedInBand, countedInPart, ESTIMATES, type Counted } from '@/core/colony/counting';
import { stagesOf } from '@/core/colony/kind';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { numberIn } from '@/core/measure/typedNumber';
import { headCountIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { space } from '../theme/tokens';
import { countedWords, stageWords } from '@/words/colony';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { DayField, useDay } from './DayField';
import { Waiting } from '../kit/Waiting';

interface Props {
  resident: Resident;
  onDone: () => void;
}

const WAYS = [
  { value: 'all', title: 'Every head' },
  { value: 'photo', title: 'In a photo' },
  { value: 'eye', title: 'By eye' },
] as const;
type Way = (typeof WAYS)[number]['value'];

/** A colony or a culture is counted: head by head and stage by stage, in a picture of a part, or by eye. */
export function CountForm(props: Props) {
  const [way, setWay] = useState<Way>('all');
  const day = useDay();
  const write = useLog((log) => log.write);
  const save = async (counts: object, words: string) => {
    const entry = { kind: 'measured', residentId: props.resident.id, ...counts, ...day.field } as NewEntry;
    if (await write(entry, `${calledWords(props.resident)}: ${words}`)) props.onDone();
  };
  const keep = ({ heads, low, high }: Counted) =>
    save({ headCount: heads, headsLow: low, headsHigh: high }, `about ${heads}, ${low} to ${high}.`);
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Choices label="How it was counted" choices={WAYS} value={way} onChange={setWay} />
      {way === 'all' ? <ByStages resident={props.resident} save={save} /> : null}
      {way === 'photo' ? <InPhoto keep={keep} /> : null}
      {way === 'eye' ? <ByEye keep={keep} /> : null}
    </View>
  );
}

/** What is typed in a field for a count; undefined while it is empty, null where it is none. */
const countIn = (text: string) => (text === '' ? undefined : text === '0' ? 0 : (headCountIn(text) ?? null));

function ByStages({ resident, save }: { resident: Resident; save: (counts: object, words: string) => Promise<void> }) {
  const round = useHouse((house) => house.round);
  const { answer: facts } = useCall(round, () => call('residentColony', { params: { id: resident.id } }));
  const kind = facts?.kind;
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string>();
  if (!kind) return <Waiting>Looking it up…</Waiting>;
  const stages = [...stagesOf(kind)].reverse();
  const isAnt = kind.laying.by === 'queen';
  const submit = () => {
    const counts = stages.map((stage) => [stage, countIn((typed[stage] ?? '').trim())] as const);
    const queens = countIn((typed.queens ?? '').trim());
    if ([...counts.map(([, count]) => count), queens].includes(null)) return setProblem('Whole numbers from 0 up.');
    const told = counts.filter((each): each is readonly [string, number] => typeof each[1] === 'number');
    if (told.length === 0 && queens === undefined) return setProblem('Count at least one stage.');
    if (told.length > 0 && counts[0]?.[1] === undefined) {
      return setProblem(`Count the ${stageWords(kind.adults)} too, 0 where there are none.`);
    }
    const entry = {
      ...(told.length > 0 && { stages: Object.fromEntries(told) }),
      ...(typeof queens === 'number' && { queens }),
    };
    return void save(entry, `counted, ${countedWords(Object.fromEntries(told))}.`);
  };
  const field = (name: string, label: string, hint?: string) => (
    <Field
      key={name}
      label={label}
      value={typed[name] ?? ''}
      onChange={(text) => {
        setTyped({ ...typed, [name]: text });
        setProblem(undefined);
      }}
      problem={name === stages[0] ? problem : undefined}
      hint={hint}
      keyboard="number-pad"
    />
  );
  return (
    <View style={{ gap: space.m }}>
      {stages.map((stage, index) =>
        field(
          stage,
          capital(stageWords(stage)),
          index === 0 ? 'Stages left empty are reckoned as is usual.' : undefined,
        ),
      )}
      {isAnt ? field('queens', 'Queens') : null}
      <Button title="Write down" onPress={submit} />
    </View>
  );
}

function InPhoto({ keep }: { keep: (counted: Counted) => Promise<void> }) {
  const [counted, share] = [useTyped(), useTyped('100')];
  const [heads, percent] = [headCountIn(counted.text), numberIn(share.text)];
  const isShare = percent !== undefined && percent > 0 && percent <= 100;
  const result = heads !== undefined && isShare ? countedInPart(heads, percent) : null;
  const submit = () => {
    if (heads === undefined) counted.refuse('A whole number from 1 up.');
    if (!isShare) share.refuse('Percent, over 0 and up to 100.');
    if (result) void keep(result);
  };
  return (
    <View style={{ gap: space.m }}>
      <Field label="Heads in the photo" {...counted.field} keyboard="number-pad" />
      <Field
        label="Part of the nest in the photo, %"
        {...share.field}
        hint={result ? `About ${result.heads} in all, likely ${result.low} to ${result.high}.` : undefined}
        keyboard="decimal-pad"
      />
      <Button title="Write down" onPress={submit} />
    </View>
  );
}

function ByEye({ keep }: { keep: (counted: Counted) => Promise<void> }) {
  return (
    <Choices
      label="About how many"
      choices={ESTIMATES.map(([low, high]) => ({ value: `${low}`, title: `${low} to ${high}` }))}
      value={undefined}
      onChange={(chosen) => {
        const band = ESTIMATES.find(([low]) => String(low) === chosen);
        if (band) void keep(countedInBand(band[0], band[1]));
      }}
    />
  );
}
