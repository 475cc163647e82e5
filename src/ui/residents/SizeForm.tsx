import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { parseLength } from '@/core/measure/length';
import { Button } from '../components/Button';
import { Choices } from '../components/Choices';
import { Field } from '../components/Field';
import { headCountIn, numberIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { calledWords } from '../words/residents';
import { capital } from '../words/text';
import { useLength } from '../words/useLength';
import { DayField, useDay } from './DayField';

interface Props {
  kind: 'moulted' | 'measured';
  resident: Resident;
  onDone: () => void;
}

const INSTARS = [1, 59] as const;

/** A moult, or a size, a weight, a count. */
export function SizeForm({ kind, resident, onDone }: Props) {
  const length = useLength();
  const write = useLog((log) => log.write);
  const { measure, stages: known } = useHouse((house) => house.care).of(resident);
  const [stage, setStage] = useState(resident.stage);
  const [typed, setTyped] = useState({ size: '', mass: '', instar: '', heads: '' });
  const [problems, setProblems] = useState<Partial<typeof typed>>({});
  const day = useDay();
  const isGroup = resident.form !== 'single';
  const set = (name: keyof typeof typed) => (text: string) => {
    setTyped((before) => ({ ...before, [name]: text }));
    setProblems((before) => ({ ...before, [name]: undefined }));
  };
  const save = async () => {
    const given = (name: keyof typeof typed) => typed[name].trim() !== '';
    const size = given('size') ? parseLength(typed.size, length.unit) : null;
    const massG = given('mass') ? numberIn(typed.mass) : null;
    const instar = given('instar') ? headCountIn(typed.instar) : null;
    const headCount = given('heads') ? headCountIn(typed.heads) : null;
    const wrong: Partial<typeof typed> = {};
    if (size && !size.ok) wrong.size = size.problem;
    if (massG === undefined || (massG !== null && massG <= 0))
      wrong.mass = 'Grams as a number over 0, for example 17.4.';
    if (instar === undefined || (instar !== null && instar > INSTARS[1]))
      wrong.instar = `A whole number from ${INSTARS[0]} to ${INSTARS[1]}.`;
    if (headCount === undefined) wrong.heads = 'A whole number from 1 to 1000000.';
    if (kind === 'measured' && !Object.values(typed).some((text) => text.trim() !== '') && stage === resident.stage)
      wrong.size = `Write the ${measure.name} you measured.`;
    if (Object.keys(wrong).length > 0) return setProblems(wrong);
    const seen = {
      ...(size?.ok && { [measure.takes]: size.mm }),
      ...(typeof massG === 'number' && { massG }),
      ...(typeof instar === 'number' && { instar }),
      ...(typeof headCount === 'number' && { headCount }),
      ...day.field,
    };
    const words = kind === 'moulted' ? 'moult written down.' : 'written down.';
    if (await write({ kind, residentId: resident.id, stage, ...seen }, `${calledWords(resident)}: ${words}`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Choices
        label="Stage"
        choices={known.filter((each) => each !== 'egg').map((value) => ({ value, title: value }))}
        value={stage}
        onChange={setStage}
      />
      <Field
        label={`${capital(measure.name)}, ${length.unit}`}
        value={typed.size}
        onChange={set('size')}
        problem={problems.size}
        hint={kind === 'moulted' ? 'Leave empty until it can be measured.' : measure.howTo}
        keyboard="decimal-pad"
      />
      <Field
        label="Weight, g"
        value={typed.mass}
        onChange={set('mass')}
        problem={problems.mass}
        hint="Leave empty if it was not weighed."
        keyboard="decimal-pad"
      />
      {isGroup ? (
        <Field
          label="How many"
          value={typed.heads}
          onChange={set('heads')}
          problem={problems.heads}
          hint="Leave empty if nobody counted."
          keyboard="number-pad"
        />
      ) : (
        <Field
          label="Instar, if you know it"
          value={typed.instar}
          onChange={set('instar')}
          problem={problems.instar}
          hint={
            resident.instar === undefined
              ? 'The first one out of the egg is 1.'
              : `It was in ${resident.instar}; every moult adds one by itself.`
          }
          keyboard="number-pad"
        />
      )}
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
