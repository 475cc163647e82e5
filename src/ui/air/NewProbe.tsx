import { placesIn, type PlaceInHome } from '@/core/readings/places';
import type { Home } from '@/contract/records';
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
  at: { home: Home } | { roomId: string };
  suggestion: string;
  onAdded: () => Promise<void>;
}

const KINDS = [
  { value: 'device', title: 'a device' },
  { value: 'simulated', title: 'a simulated one' },
] as const;

interface Values {
  kind: (typeof KINDS)[number]['value'];
  place: PlaceInHome | 'scale';
  name: string;
}

/** Hangs a probe up: a device with a token of its own, or a simulated one to try things with. */
export function NewProbe({ at, suggestion, onAdded }: Props) {
  const show = useLog((log) => log.show);
  const home = 'home' in at ? at.home : undefined;
  const places = [...placesIn(home ?? {}), 'scale'] as const;
  const form = useFields<Values>({ kind: 'device', place: places[0], name: suggestion });
  const { control } = form;
  const [token, setToken] = useState<string | null>(null);
  const add = async ({ kind, place, name }: Values) => {
    const body = {
      name,
      kind,
      ...('home' in at ? { place, homeId: at.home.id } : { place: 'room' as const, roomId: at.roomId }),
    };
    const added = await call('addProbe', { body });
    setToken(added.token);
    show({ text: `${added.probe.name} added.` });
    await onAdded();
  };
  return (
    <View style={{ gap: space.m }}>
      <Form form={form} act="Add the probe" rank="second" save={add}>
        <FormChoices control={control} name="kind" label="Kind of probe" choices={KINDS} />
        {home ? (
          <FormChoices
            control={control}
            name="place"
            label="Where it hangs"
            choices={places.map((value) => ({ value, title: PLACE_WORDS[value] }))}
          />
        ) : null}
        <FormField control={control} name="name" label="What it is called" />
      </Form>
      {token !== null ? <Token token={token} /> : null}
    </View>
  );
}
