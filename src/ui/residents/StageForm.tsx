import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { Form } from '../forms/Form';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { Soft } from '../components/Words';
import { calledWords } from '@/words/residents';

interface Props {
  resident: Resident;
  /** What it is, or all of them are, from now on. */
  stage: 'pupa' | 'adult';
  onDone: () => void;
}

/** A larva became a pupa, or what rested as one came out. */
export function StageForm({ resident, stage, onDone }: Props) {
  const write = useLog((log) => log.write);
  const form = useFields({ on: TODAY });
  const became = stage === 'pupa' ? 'pupated' : 'came out';
  const save = async ({ on }: { on: string }) => {
    const entry = { kind: 'moulted', residentId: resident.id, stage, ...onDay(on) } as const;
    if (await write(entry, `${calledWords(resident)}: ${became}.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      {resident.form === 'group' ? (
        <Soft>{`Once all of them ${became}. While only some did, give those a box of their own with “Take some out”.`}</Soft>
      ) : null}
      <When control={form.control} />
    </Form>
  );
}
