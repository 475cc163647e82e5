import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import type { Check } from '@/core/housing/fit';
import { calledWords } from '@/words/residents';
import { LinkRow } from '../components/LinkRow';
import { Body } from '../components/Words';
import { useTyped } from '../forms/useTyped';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { space } from '../theme/tokens';

/** What a rule finds can be settled for this home, with the reason why it is kept so; and asked again. */
export function KeptSo({ check, resident }: { check: Check; resident: Resident }) {
  const { write, undo, show } = useLog();
  const [isOpen, setOpen] = useState(false);
  const why = useTyped();
  if (check.status === 'pass' && !check.keptSo) return null;
  const settle = async () => {
    if (why.isEmpty) return why.refuse('Write why you keep it so.');
    const entry = { kind: 'kept-so', residentId: resident.id, rule: check.rule, why: why.text } as const;
    if (await write(entry, `${calledWords(resident)}: kept so. The round is silent about it in this box.`))
      setOpen(false);
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
    <View style={{ gap: space.m }}>
      {check.quantity === 'widestOpeningMm' ? (
        <Body>What gets out can be lost, or hurt somebody. Cover the opening if you can.</Body>
      ) : null}
      <Field label="Why you keep it so" {...why.field} hint="It holds for this animal in this box, until it moves." />
      <Button title="Settle it for this box" onPress={() => void settle()} />
    </View>
  );
}
