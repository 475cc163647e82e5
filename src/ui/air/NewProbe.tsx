import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf } from '@/client/house';
import { useLog } from '@/client/log';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { space } from '../theme/tokens';
import { PLACE_WORDS } from '@/words/air';
import { Token } from './ProbeList';

interface Props {
  /** The home or the room it hangs in. */
  at: { homeId: string } | { roomId: string };
  suggestion: string;
  onAdded: () => Promise<void>;
}

/** Hangs a probe up: a device with a token of its own, or a simulated one to try things with. */
export function NewProbe({ at, suggestion, onAdded }: Props) {
  const show = useLog((log) => log.show);
  const inHome = 'homeId' in at;
  const [kind, setKind] = useState<'device' | 'simulated'>('device');
  const [place, setPlace] = useState<'air' | 'cool' | 'warm' | 'scale'>('air');
  const [name, setName] = useState(suggestion);
  const [problem, setProblem] = useState<string | undefined>();
  const [token, setToken] = useState<string | null>(null);
  const add = async () => {
    try {
      const body = { name, kind, place: inHome ? place : ('room' as const), ...at };
      const added = await call('addProbe', { body });
      setToken(added.token);
      setProblem(undefined);
      show({ text: `${added.probe.name} added.` });
      await onAdded();
    } catch (error) {
      if (error instanceof CallFailed) setProblem(error.fields.find(({ path }) => path === 'name')?.message);
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <Choices
        label="Kind of probe"
        choices={[
          { value: 'device', title: 'a device' },
          { value: 'simulated', title: 'a simulated one' },
        ]}
        value={kind}
        onChange={setKind}
      />
      {inHome ? (
        <Choices
          label="Where it hangs"
          choices={(['air', 'cool', 'warm', 'scale'] as const).map((value) => ({ value, title: PLACE_WORDS[value] }))}
          value={place}
          onChange={setPlace}
        />
      ) : null}
      <Field label="What it is called" value={name} onChange={setName} problem={problem} />
      <Button rank="second" title="Add the probe" onPress={() => void add()} />
      {token !== null ? <Token token={token} /> : null}
    </View>
  );
}
