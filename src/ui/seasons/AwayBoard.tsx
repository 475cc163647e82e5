import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useKeepers } from '@/client/keepers';
import { useLog } from '@/client/log';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { DayInput } from '../kit/DayInput';
import { space } from '../theme/tokens';
import { useCall } from '@/client/useCall';
import { dayWords, daysWords } from '@/words/days';
import { Waiting } from '../kit/Waiting';

const EVERYBODY = 'all';

/** Who is away when, and what the boxes need meanwhile. */
export function AwayBoard() {
  const round = useHouse((house) => house.round);
  const [version, setVersion] = useState(0);
  const { keepers, load } = useKeepers();
  const { answer, problem } = useCall(version, () => call('absences', {}));
  useEffect(() => {
    if (keepers === null) void load();
  }, [keepers, load]);
  if (problem !== undefined) return <Soft>{problem}</Soft>;
  if (!answer || !round) return <Waiting>Looking it up…</Waiting>;
  const who = (keeperId: string | null) =>
    keeperId === null
      ? 'Nobody of the house is there'
      : `${keepers?.find(({ id }) => id === keeperId)?.name ?? 'A keeper'} is away`;
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      {answer.absences.length === 0 ? <Soft>No absence is planned.</Soft> : null}
      {answer.absences.map(({ id, keeperId, from, until, sitter }) => (
        <ListRow key={id} label={`Open the sheet for ${from}`} onPress={() => router.push(`/seasons/away/${id}`)}>
          <Strong>{`${dayWords(from, round.on)} to ${dayWords(until, round.on)}, ${daysWords(daysBetween(from, until) + 1)}`}</Strong>
          <Soft>{`${who(keeperId)}${sitter === null ? '' : `; ${sitter} looks in`}`}</Soft>
        </ListRow>
      ))}
      <NewAbsence today={round.on} onPlanned={() => setVersion(version + 1)} />
    </View>
  );
}

function NewAbsence({ today, onPlanned }: { today: string; onPlanned: () => void }) {
  const keepers = useKeepers((state) => state.keepers) ?? [];
  const show = useLog((log) => log.show);
  const [from, setFrom] = useState<Day | ''>(addDays(today, 7));
  const [until, setUntil] = useState<Day | ''>(addDays(today, 13));
  const [whose, setWhose] = useState(EVERYBODY);
  const [sitter, setSitter] = useState('');
  const [phone, setPhone] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const plan = async () => {
    try {
      await call('addAbsence', {
        body: {
          ...{ from, until },
          ...(whose !== EVERYBODY && { keeperId: whose }),
          ...(sitter.trim() !== '' && { sitter: sitter.trim() }),
          ...(phone.trim() !== '' && { call: phone.trim() }),
        },
      });
      setProblems({});
      show({ text: 'Planned. Its sheet says what to do before, and what a sitter does.' });
      onPlanned();
    } catch (error) {
      const fields = error instanceof CallFailed ? error.fields : [];
      setProblems(Object.fromEntries(fields.map(({ path, message }) => [path, message])));
      if (fields.length === 0) show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>Plan an absence</Heading>
      <Choices
        label="Who is away"
        choices={[
          { value: EVERYBODY, title: 'everybody' },
          ...keepers.map(({ id, name }) => ({ value: id, title: name })),
        ]}
        value={whose}
        onChange={setWhose}
      />
      <DayInput label="First day" value={from} onChange={setFrom} problem={problems.from} min={today} />
      <DayInput label="Last day" value={until} onChange={setUntil} problem={problems.until} min={from || today} />
      <Field label="Who looks in, if anybody" value={sitter} onChange={setSitter} problem={problems.sitter} />
      <Field
        label="Whom to call, and how"
        value={phone}
        onChange={setPhone}
        problem={problems.call}
        hint="Stands large on the sheet."
      />
      <Button title="Plan it" onPress={() => void plan()} />
    </View>
  );
}
