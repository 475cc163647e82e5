import { useState } from 'react';
import { View } from 'react-native';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { LEAVING_CAUSES, type LeavingCause } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Soft } from '../components/Words';
import { headCountIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { space } from '../theme/tokens';
import { CAUSE_WORDS } from '@/words/entries';
import { calledWords } from '@/words/residents';
import { DayField, useDay } from './DayField';

const HOW = [
  { value: 'died', title: 'Died' },
  { value: 'passed-on', title: 'Passed on' },
] as const;

/** A death, or who it went to; of a group, how many. */
export function LeavingForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const [how, setHow] = useState<(typeof HOW)[number]['value']>('died');
  const [cause, setCause] = useState<LeavingCause>('unknown');
  const to = useTyped();
  const heads = useTyped();
  const day = useDay();
  const isGroup = resident.form !== 'single';
  const save = async () => {
    const count = headCountIn(heads.text);
    if (!heads.isEmpty && count === undefined) return heads.refuse('A whole number of animals.');
    const common = { residentId: resident.id, ...(count !== undefined && { count }), ...day.field };
    const entry =
      how === 'died'
        ? ({ kind: 'died', ...common, cause } as const)
        : ({ kind: 'passed-on', ...common, ...(!to.isEmpty && { to: to.text }) } as const);
    const who = isGroup && count !== undefined ? `${calledWords(resident)}: ${count}` : calledWords(resident);
    if (await write(entry, `${who} ${how === 'died' ? 'died' : 'passed on'}.`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <Choices label="How it left" choices={HOW} value={how} onChange={setHow} />
      <DayField day={day} />
      {isGroup ? (
        <Field
          label={how === 'died' ? 'How many died' : 'How many went'}
          {...heads.field}
          hint={`Leave empty if all${resident.headCount === undefined ? '' : ` ${resident.headCount}`} did.`}
          keyboard="number-pad"
        />
      ) : null}
      {how === 'died' ? (
        <Choices
          label="What it is put down to"
          choices={LEAVING_CAUSES.map((value) => ({ value, title: CAUSE_WORDS[value] }))}
          value={cause}
          onChange={setCause}
        />
      ) : (
        <Field label="To whom" {...to.field} />
      )}
      {how === 'died' && !isGroup ? (
        <Soft>Not sure? Look under “Dead or moulting?” before anything is thrown out.</Soft>
      ) : null}
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
