import { useState } from 'react';
import { View } from 'react-native';
import { CONDITIONS, type Condition } from '@/core/feeding/prey';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { parseLength } from '@/core/measure/length';
import { withoutUndefined } from '@/core/withoutUndefined';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { numberIn } from '@/core/measure/typedNumber';
import { headCountIn, INSTAR_PROBLEM, instarIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';
import { DayField, useDay } from './DayField';

interface Props {
  kind: 'moulted' | 'measured';
  resident: Resident;
  onDone: () => void;
}

/** A moult, or a size, a weight, a count. */
export function SizeForm({ kind, resident, onDone }: Props) {
  const length = useLength();
  const write = useLog((log) => log.write);
  const { measure, stages: known } = useHouse((house) => house.care).of(resident);
  const [stage, setStage] = useState(resident.stage);
  const [size, mass, instar, heads] = [useTyped(), useTyped(), useTyped(), useTyped()];
  const [condition, setCondition] = useState<Condition>();
  const day = useDay();
  const isGroup = resident.form !== 'single';
  const save = async () => {
    const taken = size.isEmpty ? null : parseLength(size.text, length.unit);
    const [massG, step, headCount] = [numberIn(mass.text), instarIn(instar.text), headCountIn(heads.text)];
    const isNothing =
      [size, mass, instar, heads].every((each) => each.isEmpty) && stage === resident.stage && !condition;
    const wrong = [
      taken && !taken.ok ? { typed: size, why: taken.problem } : null,
      kind === 'measured' && isNothing ? { typed: size, why: `Write the ${measure.name} you measured.` } : null,
      mass.isEmpty || (massG ?? 0) > 0 ? null : { typed: mass, why: 'Grams as a number over 0, for example 17.4.' },
      instar.isEmpty || step ? null : { typed: instar, why: INSTAR_PROBLEM },
      heads.isEmpty || headCount ? null : { typed: heads, why: 'A whole number from 1 to 1000000.' },
    ].filter((each) => each !== null);
    for (const { typed, why } of wrong) typed.refuse(why);
    if (wrong.length > 0) return;
    const seen = {
      ...(taken?.ok && { [measure.takes]: taken.mm }),
      ...withoutUndefined({ massG, instar: step, headCount, condition: kind === 'measured' ? condition : undefined }),
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
        {...size.field}
        hint={kind === 'moulted' ? 'Leave empty until it can be measured.' : measure.howTo}
        keyboard="decimal-pad"
      />
      <Field label="Weight, g" {...mass.field} hint="Leave empty if it was not weighed." keyboard="decimal-pad" />
      {kind === 'measured' ? (
        <Choices
          label="How it looks"
          choices={CONDITIONS.map((value) => ({ value, title: value }))}
          value={condition}
          onChange={setCondition}
        />
      ) : null}
      {isGroup ? (
        <Field label="How many" {...heads.field} hint="Leave empty if nobody counted." keyboard="number-pad" />
      ) : (
        <Field
          label="Instar, if you know it"
          {...instar.field}
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
