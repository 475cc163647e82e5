import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { parseLength } from '@/core/measure/length';
import { headCountIn } from '../forms/checks';
import { capital } from '../words/text';
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
  { value: 'measured', title: 'A size or a count' },
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
  const signs = useHouse((house) => house.care)
    .of(resident)
    .leaveAloneSigns.map((sign) => ({ value: sign, title: signWords(sign) }));
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
  const { measure, stages: known, company } = useHouse((house) => house.care).of(resident);
  const [stage, setStage] = useState(resident.stage);
  const [text, setText] = useState('');
  const [heads, setHeads] = useState('');
  const [problem, setProblem] = useState<string>();
  const [headsProblem, setHeadsProblem] = useState<string>();
  const isGroup = company.sameKind === 'group';
  const save = async () => {
    const parsed = text.trim() === '' ? null : parseLength(text, length.unit);
    if (parsed && !parsed.ok) return setProblem(parsed.problem);
    const count = heads.trim() === '' ? null : headCountIn(heads);
    if (count === undefined) return setHeadsProblem('A whole number from 1 to 1000000.');
    if (!parsed && count === null && kind === 'measured') return setProblem(`Write the ${measure.name} you measured.`);
    const words = kind === 'moulted' ? 'moult written down.' : 'written down.';
    const measured = { ...(parsed && { [measure.takes]: parsed.mm }), ...(count !== null && { headCount: count }) };
    if (await write({ kind, residentId: resident.id, stage, ...measured }, `${calledWords(resident)}: ${words}`))
      onDone();
  };
  const stages = known.map((value) => ({ value, title: value }));
  return (
    <View style={{ gap: space.m }}>
      <Choices label="Stage" choices={stages} value={stage} onChange={setStage} />
      <Field
        label={`${capital(measure.name)}, ${length.unit}`}
        value={text}
        onChange={(typed) => {
          setText(typed);
          setProblem(undefined);
        }}
        problem={problem}
        hint={kind === 'moulted' ? 'Leave empty until it can be measured.' : measure.howTo}
        keyboard="decimal-pad"
      />
      {isGroup ? (
        <Field
          label="How many"
          value={heads}
          onChange={(typed) => {
            setHeads(typed);
            setHeadsProblem(undefined);
          }}
          problem={headsProblem}
          hint="Leave empty if nobody counted."
          keyboard="number-pad"
        />
      ) : null}
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
