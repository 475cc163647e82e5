import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useLog } from '@/client/log';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { PLACE_WORDS } from '@/words/air';
import { Token } from './ProbeList';

interface Props {
  /** The home or the room it hangs in. */
  at: { homeId: string } | { roomId: string };
  /** The home is a nest of chambers. */
  isNest?: boolean;
  suggestion: string;
  onAdded: () => Promise<void>;
}

const KINDS = [
  { value: 'device', title: 'a device' },
  { value: 'simulated', title: 'a simulated one' },
] as const;
const PLACES = ['air', 'cool', 'warm', 'scale'] as const;
const PLACES_OF_NEST = ['nest', 'outworld', 'scale'] as const;

interface Values {
  kind: (typeof KINDS)[number]['value'];
  place: (typeof PLACES)[number] | (typeof PLACES_OF_NEST)[number];
  name: string;
}

/** Hangs a probe up: a device with a token of its own, or a simulated one to try things with. */
export function NewProbe({ at, isNest = false, suggestion, onAdded }: Props) {
  const show = useLog((log) => log.show);
  const inHome = 'homeId' in at;
  const form = useFields<Values>({ kind: 'device', place: isNest ? 'nest' : 'air', name: suggestion });
  const { control } = form;
  const [token, setToken] = useState<string | null>(null);
  const add = async ({ kind, place, name }: Values) => {
    const body = { name, kind, place: inHome ? place : ('room' as const), ...at };
    const added = await call('addProbe', { body });
    setToken(added.token);
    show({ text: `${added.probe.name} added.` });
    await onAdded();
  };
  return (
    <View style={{ gap: space.m }}>
      <Form form={form} act="Add the probe" rank="second" save={add}>
        <FormChoices control={control} name="kind" label="Kind of probe" choices={KINDS} />
        {inHome ? (
          <FormChoices
            control={control}
            name="place"
            label="Where it hangs"
            choices={(isNest ? PLACES_OF_NEST : PLACES).map((value) => ({ value, title: PLACE_WORDS[value] }))}
          />
        ) : null}
        <FormField control={control} name="name" label="What it is called" />
      </Form>
      {token !== null ? <Token token={token} /> : null}
    </View>
  );
}
