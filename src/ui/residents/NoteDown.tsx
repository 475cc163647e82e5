import { useState } from 'react';
import { View } from 'react-native';
import { useLog } from '@/client/log';
import { profileOf } from '@/contract/profiles';
import type { Resident } from '@/contract/records';
import { parseLength } from '@/core/measure/length';
import { Button } from '../components/Button';
import { Choices } from '../components/Choices';
import { Field } from '../components/Field';
import { Heading } from '../components/Words';
import { space } from '../theme/tokens';
import { signWords } from '../words/jobs';
import { calledWords } from '../words/residents';
import { useLength } from '../words/useLength';

const WHAT = [
  { value: 'sign', title: 'A sign' },
  { value: 'moulted', title: 'It moulted' },
  { value: 'measured', title: 'A size' },
] as const;
type What = (typeof WHAT)[number]['value'];

/** What the round does not ask for: a sign of a moult, a moult, a new size or stage. */
export function NoteDown({ resident }: { resident: Resident }) {
  const [what, setWhat] = useState<What>();
  return (
    <View style={{ gap: space.m, marginTop: space.xl }}>
      <Heading>Write down</Heading>
      <Choices label="What to write down" choices={WHAT} value={what} onChange={setWhat} />
      {what === 'sign' ? <SignForm resident={resident} onDone={() => setWhat(undefined)} /> : null}
      {what === 'moulted' || what === 'measured' ? (
        <SizeForm key={what} kind={what} resident={resident} onDone={() => setWhat(undefined)} />
      ) : null}
    </View>
  );
}

interface FormProps {
  resident: Resident;
  onDone: () => void;
}

function SignForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const signs = profileOf(resident.profile).leaveAloneSigns.map((sign) => ({ value: sign, title: signWords(sign) }));
  return (
    <Choices
      label="Sign of a moult"
      choices={signs}
      value={undefined}
      onChange={(sign) => {
        void write({ kind: 'sign', residentId: resident.id, sign }, `${calledWords(resident)}: ${signWords(sign)}.`);
        onDone();
      }}
    />
  );
}

function SizeForm({ kind, resident, onDone }: FormProps & { kind: 'moulted' | 'measured' }) {
  const length = useLength();
  const write = useLog((log) => log.write);
  const [stage, setStage] = useState(resident.stage);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    const parsed = text.trim() === '' ? null : parseLength(text, length.unit);
    if (parsed && !parsed.ok) return setProblem(parsed.problem);
    if (!parsed && kind === 'measured') return setProblem('Write the leg span you measured.');
    const words = kind === 'moulted' ? 'moult written down.' : 'size written down.';
    const entry = { kind, residentId: resident.id, stage, ...(parsed && { legSpanMm: parsed.mm }) };
    if (await write(entry, `${calledWords(resident)}: ${words}`)) onDone();
  };
  const stages = profileOf(resident.profile).stages.map((value) => ({ value, title: value }));
  return (
    <View style={{ gap: space.m }}>
      <Choices label="Stage" choices={stages} value={stage} onChange={setStage} />
      <Field
        label={`Leg span, ${length.unit}`}
        value={text}
        onChange={(typed) => {
          setText(typed);
          setProblem(undefined);
        }}
        problem={problem}
        hint={kind === 'moulted' ? 'Leave empty until it can be measured.' : 'Across, leg I to leg IV.'}
        keyboard="decimal-pad"
      />
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
