import { useState } from 'react';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import type { Check } from '@/core/housing/fit';
import { calledWords } from '@/words/residents';
import { LinkRow } from '../components/LinkRow';
import { Body } from '../components/Words';
import { needed } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';

/** What a rule finds can be settled for this home, with the reason why it is kept so; and asked again. */
export function KeptSo({ check, resident }: { check: Check; resident: Resident }) {
  const { write, undo, show } = useLog();
  const [isOpen, setOpen] = useState(false);
  const form = useFields({ why: '' });
  if (check.status === 'pass' && !check.keptSo) return null;
  const settle = async ({ why }: { why: string }) => {
    const entry = { kind: 'kept-so', residentId: resident.id, rule: check.rule, why: why.trim() } as const;
    const text = `${calledWords(resident)}: kept so. The round is silent about it in this box.`;
    if (await write(entry, text, form.place)) setOpen(false);
  };
  const askAgain = async () => {
    try {
      const { entries } = await call('history', { params: { id: resident.id }, query: { kinds: 'kept-so' } });
      const entry = entries.find((each) => each.kind === 'kept-so' && each.data.rule === check.rule);
      if (entry) await undo(entry.id);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  if (check.keptSo) return <LinkRow links={[{ title: 'Ask it again', onPress: () => void askAgain() }]} />;
  if (!isOpen) return <LinkRow links={[{ title: 'I keep it so', onPress: () => setOpen(true) }]} />;
  return (
    <Form form={form} act="Settle it for this box" save={settle}>
      {check.quantity === 'widestOpeningMm' ? (
        <Body>What gets out can be lost, or hurt somebody. Cover the opening if you can.</Body>
      ) : null}
      <FormField
        control={form.control}
        name="why"
        label="Why you keep it so"
        check={needed('Write why you keep it so.')}
        hint="It holds for this animal in this box, until it moves."
      />
    </Form>
  );
}
