import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { countWords } from '@/words/count';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { needed } from '../forms/checks';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { Button } from '../kit/Button';
import { space } from '../theme/tokens';

const namesIn = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((name) => name.trim())
    .filter((name) => name !== '');

/** The rooms of the house and their shelves, put up before the boxes: a room and all of its shelves in one go. */
export function ShelvesScreen() {
  const { shelves, homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const rooms = [...new Set(shelves.map(({ room }) => room))];
  const form = useFields({ room: rooms[0] ?? '', names: '' }, (path) => (path.startsWith('names') ? 'names' : path));
  const { control } = form;
  if (loading) return <Screen>{loading}</Screen>;
  const save = async ({ room, names }: { room: string; names: string }) => {
    try {
      const made = await call('addShelves', { body: { room: room.trim(), names: namesIn(names) } });
      await load();
      form.reset({ room, names: '' });
      show({ text: `${countWords(made.shelves.length, 'shelf', 'shelves')} put up in ${room.trim()}.` });
    } catch (error) {
      form.place(error);
    }
  };
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button
            grow
            title="Put up these shelves"
            disabled={form.formState.isSubmitting}
            onPress={() => void form.handleSubmit(save)()}
          />
          {shelves.length > 0 ? (
            <Button grow rank="second" title="Add a box" onPress={() => router.push('/homes/new')} />
          ) : null}
        </>
      }
    >
      <PaneHeader back="/homes" title="Wall" />
      <Title>Rooms and shelves</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        {rooms.length === 0 ? <Body>A room, and its shelves from above. The boxes stand on them.</Body> : null}
        {rooms.map((room) => {
          const here = shelves.filter((shelf) => shelf.room === room);
          const boxes = homes.filter(({ shelfId }) => here.some(({ id }) => id === shelfId)).length;
          return (
            <View key={room}>
              <Strong>{room}</Strong>
              <Soft>{`${here.map(({ name }) => name).join('; ')}: ${countWords(boxes, 'box', 'boxes')}.`}</Soft>
            </View>
          );
        })}
        <Heading>{rooms.length === 0 ? 'The first room' : 'More shelves'}</Heading>
        <FormField control={control} name="room" label="Room" check={needed('Write the name of the room.')} />
        <FormField
          control={control}
          name="names"
          label="Its shelves, from above"
          hint="With commas between: top, middle, floor."
          check={(text) => namesIn(text).length > 0 || 'Write the name of at least one shelf.'}
        />
      </View>
    </Screen>
  );
}
