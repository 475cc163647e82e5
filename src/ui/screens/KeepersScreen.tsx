import { router } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useKeepers } from '@/client/keepers';
import type { Keeper } from '@/contract/keepers';
import { listWords } from '@/words/count';
import { ListRow } from '../kit/ListRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';

const hereZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Who keeps the house, and which rooms they walk when; each has a page. */
export function KeepersScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { keepers, load } = useKeepers();
  const form = useFields({ name: '' });
  useEffect(() => void load(), [load]);
  const add = async ({ name }: { name: string }) => {
    const { keeper } = await call('addKeeper', { body: { name, zone: hereZone() } });
    await load();
    form.reset();
    router.push(`/keepers/${keeper.id}`);
  };
  return (
    <Screen place="/keepers">
      <PaneHeader back="/settings" title="More" />
      <Title>Keepers</Title>
      <Soft>Each has rooms to walk, a time for it, and a calendar that a phone can subscribe to.</Soft>
      {(keepers ?? []).map((keeper) => (
        <ListRow
          key={keeper.id}
          label={keeper.name}
          onPress={() => router.push(`/keepers/${keeper.id}`)}
          isChosen={keeper.id === chosenId}
        >
          <Strong>{keeper.name}</Strong>
          <WalkWords keeper={keeper} />
        </ListRow>
      ))}
      {keepers ? (
        <View style={{ gap: space.m, marginTop: space.xl }}>
          <Heading>Another keeper</Heading>
          <Form form={form} act="Add" disabled={form.values.name.trim() === ''} save={add}>
            <FormField control={form.control} name="name" label="Name" />
          </Form>
        </View>
      ) : null}
    </Screen>
  );
}

/** "Walks the cellar and the boiler room at 19:00." */
function WalkWords({ keeper: { roomIds, walkAt } }: { keeper: Keeper }) {
  const shelves = useHouse((house) => house.shelves);
  const rooms = new Map(shelves.map(({ roomId, room }) => [roomId, room]));
  const where = roomIds.length === 0 ? 'the whole house' : listWords(roomIds.flatMap((id) => rooms.get(id) ?? []));
  return <Soft>{`Walks ${where} at ${walkAt}.`}</Soft>;
}
