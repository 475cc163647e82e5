import { CONDITIONS, type Condition } from '@/core/feeding/prey';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { isCountedKind } from '@/core/growth/moulting';
import { numberIn } from '@/core/measure/typedNumber';
import { HIGHEST_INSTAR, type Stage } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import {
  anyLength,
  gramsCheck,
  headCountIn,
  headsCheck,
  instarCheck,
  instarIn,
  lengthIn,
  orEmpty,
} from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { sizeField, useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';

interface Props {
  kind: 'moulted' | 'measured';
  resident: Resident;
  onDone: () => void;
}

interface Values {
  on: string;
  stage: Stage;
  size: string;
  massG: string;
  instar: string;
  headCount: string;
  condition: Condition | undefined;
}

/** A moult, or a size, a weight, a count. */
export function SizeForm({ kind, resident, onDone }: Props) {
  const length = useLength();
  const write = useLog((log) => log.write);
  const profile = useHouse((house) => house.care).of(resident);
  const { measure, stages: known } = profile;
  const start = { on: TODAY, size: '', massG: '', instar: '', headCount: '', stage: resident.stage };
  const form = useFields<Values>({ ...start, condition: undefined }, sizeField);
  const { control, values } = form;
  const isGroup = resident.form !== 'single';
  const isNothing =
    [values.size, values.massG, values.instar, values.headCount].every((each) => each.trim() === '') &&
    values.stage === resident.stage &&
    !values.condition;
  const lengthOrEmpty = orEmpty(anyLength(length.unit));
  const sizeCheck = (text: string) =>
    kind === 'measured' && isNothing ? `Write the ${measure.name} you measured.` : lengthOrEmpty(text);
  const save = async ({ on, stage, condition, ...typed }: Values) => {
    const seen = withoutUndefined({
      [measure.takes]: lengthIn(typed.size, length.unit),
      massG: numberIn(typed.massG),
      instar: instarIn(typed.instar),
      headCount: headCountIn(typed.headCount),
      condition: kind === 'measured' ? condition : undefined,
    });
    const words = kind === 'moulted' ? 'moult written down.' : 'written down.';
    const entry = { kind, residentId: resident.id, stage, ...seen, ...onDay(on) };
    if (await write(entry, `${calledWords(resident)}: ${words}`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <When control={control} />
      <FormChoices
        control={control}
        name="stage"
        label="Stage"
        choices={known.filter((each) => each !== 'egg').map((value) => ({ value, title: value }))}
      />
      <FormField
        control={control}
        name="size"
        label={`${capital(measure.name)}, ${length.unit}`}
        check={sizeCheck}
        hint={kind === 'moulted' ? 'Leave empty until it can be measured.' : measure.howTo}
        keyboard="decimal-pad"
      />
      <FormField
        control={control}
        name="massG"
        label="Weight, g"
        check={orEmpty(gramsCheck)}
        hint="Leave empty if it was not weighed."
        keyboard="decimal-pad"
      />
      {kind === 'measured' ? (
        <FormChoices
          control={control}
          name="condition"
          label="How it looks"
          choices={CONDITIONS.map((value) => ({ value, title: value }))}
        />
      ) : null}
      {isGroup ? (
        <FormField
          control={control}
          name="headCount"
          label="How many"
          check={orEmpty(headsCheck)}
          hint="Leave empty if nobody counted."
          steps={{ least: 1, most: 1_000_000, from: resident.headCount }}
        />
      ) : isCountedKind(profile) ? null : (
        <FormField
          control={control}
          name="instar"
          label="Instar, if you know it"
          check={orEmpty(instarCheck)}
          hint={
            resident.instar === undefined
              ? 'The first one out of the egg is 1.'
              : `It was in ${resident.instar}; every moult adds one by itself.`
          }
          steps={{ least: 1, most: HIGHEST_INSTAR, from: resident.instar }}
        />
      )}
    </Form>
  );
}
