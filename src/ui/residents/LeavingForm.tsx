import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { LEAVING_CAUSES, type LeavingCause } from '@/core/profiles/profile';
import { Soft } from '../components/Words';
import { headCountIn, headsCheck, orEmpty } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { CAUSE_WORDS } from '@/words/entries';
import { calledWords } from '@/words/residents';
import { stillTitle } from '@/words/still';

const HOW = [
  { value: 'died', title: 'Died' },
  { value: 'passed-on', title: 'Passed on' },
] as const;

interface Values {
  on: string;
  how: (typeof HOW)[number]['value'];
  cause: LeavingCause;
  to: string;
  count: string;
}
const START: Values = { on: TODAY, how: 'died', cause: 'unknown', to: '', count: '' };

/** A death, or who it went to; of a group, how many. */
export function LeavingForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const profile = useHouse((house) => house.care).of(resident);
  const form = useFields(START);
  const { control, values } = form;
  const isDeath = values.how === 'died';
  const isGroup = resident.form !== 'single';
  const save = async ({ on, cause, to, ...typed }: Values) => {
    const count = headCountIn(typed.count);
    const common = { residentId: resident.id, ...(count !== undefined && { count }), ...onDay(on) };
    const entry = isDeath
      ? ({ kind: 'died', ...common, cause } as const)
      : ({ kind: 'passed-on', ...common, ...(to.trim() !== '' && { to: to.trim() }) } as const);
    const who = isGroup && count !== undefined ? `${calledWords(resident)}: ${count}` : calledWords(resident);
    if (await write(entry, `${who} ${isDeath ? 'died' : 'passed on'}.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <FormChoices control={control} name="how" label="How it left" choices={HOW} />
      <When control={control} />
      {isGroup ? (
        <FormField
          control={control}
          name="count"
          label={isDeath ? 'How many died' : 'How many went'}
          check={orEmpty(headsCheck)}
          hint={`Leave empty if all${resident.headCount === undefined ? '' : ` ${resident.headCount}`} did.`}
          steps={{ least: 1, most: resident.headCount ?? 1_000_000 }}
        />
      ) : null}
      {isDeath ? (
        <FormChoices
          control={control}
          name="cause"
          label="What it is put down to"
          choices={LEAVING_CAUSES.map((value) => ({ value, title: CAUSE_WORDS[value] }))}
        />
      ) : (
        <FormField control={control} name="to" label="To whom" />
      )}
      {isDeath && !isGroup ? (
        <Soft>{`Not sure? Look under “${stillTitle(profile, resident.stage)}” before anything is thrown out.`}</Soft>
      ) : null}
    </Form>
  );
}
