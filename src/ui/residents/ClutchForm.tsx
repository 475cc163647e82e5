import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { Soft } from '../components/Words';
import { countOrNoneCheck, countOrNoneIn } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { calledWords } from '@/words/residents';

const START = { on: TODAY, eggs: '', frozen: '' };
const STEPS = { least: 0, most: 1_000_000 };

/** Eggs that were found in the soil, and how many of them went into the freezer. */
export function ClutchForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const form = useFields(START);
  const found = countOrNoneIn(form.values.eggs);
  const frozenCheck = (text: string) =>
    found !== undefined && (countOrNoneIn(text) ?? 0) > found
      ? `At most the ${found} that were found.`
      : countOrNoneCheck(text);
  const save = async ({ on, ...typed }: typeof START) => {
    const [eggs = 0, frozen = 0] = [countOrNoneIn(typed.eggs), countOrNoneIn(typed.frozen)];
    const entry = { kind: 'clutch', residentId: resident.id, eggs, frozen, ...onDay(on) } as const;
    if (await write(entry, `${calledWords(resident)}: ${eggs} eggs, ${frozen} frozen.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <When control={form.control} />
      <FormField control={form.control} name="eggs" label="Eggs found" check={countOrNoneCheck} steps={STEPS} />
      <FormField
        control={form.control}
        name="frozen"
        label="Of them into the freezer"
        check={frozenCheck}
        steps={STEPS}
      />
      <Soft>
        Freeze at least 24 hours, then crush. Those you keep are taken in as eggs, in a box of their own. Runts and
        faulty shells are not bred from.
      </Soft>
    </Form>
  );
}
