import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useRooms } from '@/client/rooms';
import { useLog } from '@/client/log';
import type { Room } from '@/contract/readings';
import { Fold } from '../kit/Fold';
import { NewProbe } from '../air/NewProbe';
import { ProbeList } from '../air/ProbeList';
import { Button } from '../kit/Button';
import { LinkRow } from '../components/LinkRow';
import { Waiting } from '../kit/Waiting';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
import { numberCheck } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { roomWords } from '@/words/air';
import { useTemperature } from '@/words/temperature';

const NO_ROOM_YET = 'There is no room yet. Put up its shelves first: under First steps on the round, or from the Wall.';

/** One room: its air, its probes, and what its keepers know of it. */
export function RoomScreen({ id }: { id?: string }) {
  const today = useHouse((house) => house.round?.on ?? '');
  const temperature = useTemperature();
  const { rooms, probes, problem, load } = useRooms();
  const room = id === undefined ? rooms?.[0] : rooms?.find((each) => each.id === id);
  return (
    <Screen
      actions={
        room ? (
          <Button
            grow
            rank="second"
            title="Bring in a logger’s file"
            onPress={() => router.push(`/import?room=${room.id}`)}
          />
        ) : null
      }
    >
      <PaneHeader back="/probes" title="Rooms and probes" />
      {rooms && !room ? (
        <Body>{id === undefined ? NO_ROOM_YET : 'There is no room here. It may have been an old link.'}</Body>
      ) : null}
      {rooms ? null : (
        <Waiting problem={problem} again={() => void load()}>
          Asking for its air…
        </Waiting>
      )}
      {room ? (
        <View style={{ gap: space.s }}>
          <Title>{room.name}</Title>
          <Soft>{roomWords(room, temperature)}</Soft>
          <ProbeList probes={probes.filter((each) => each.roomId === room.id)} today={today} onChange={load} />
          <Fold title={`A probe in ${room.name}`}>
            <NewProbe at={{ roomId: room.id }} suggestion={room.name} onAdded={load} />
          </Fold>
          <Heading style={{ marginTop: space.l }}>{`The air of ${room.name}, as you know it`}</Heading>
          <RoomFields key={`${today} ${JSON.stringify(room)}`} room={room} today={today} onChange={load} />
        </View>
      ) : null}
    </Screen>
  );
}

/** What a keeper knows of a room: used until its probes say otherwise; draught is never measured by them. */
function RoomFields({ room, today, onChange }: { room: Room; today: string; onChange: () => Promise<void> }) {
  const temperature = useTemperature();
  const loadHouse = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const form = useFields({
    temperatureC: temperature.value(room.air.temperatureC).toFixed(1),
    relativeHumidityPct: String(Math.round(room.air.relativeHumidityPct)),
    draughtMS: String(room.air.draughtMS),
    since: today,
  });
  const set = async (air: Room['air'] | null, since?: string) => {
    await call('changeRoom', { params: { id: room.id }, body: { air, ...(since && { since }) } });
    show({ text: air ? `${room.name}: air set.` : `${room.name}: taken as usual.` });
    await Promise.all([onChange(), loadHouse()]);
  };
  const save = (typed: typeof form.values) =>
    set(
      {
        temperatureC: temperature.parse(typed.temperatureC) ?? NaN,
        relativeHumidityPct: numberIn(typed.relativeHumidityPct) ?? NaN,
        draughtMS: numberIn(typed.draughtMS) ?? NaN,
        ...(room.air.dailySwingK !== undefined && { dailySwingK: room.air.dailySwingK }),
      },
      typed.since,
    );
  return (
    <View>
      <Form form={form} act={`Set the air of ${room.name}`} rank="second" save={save}>
        {room.from === 'readings' ? (
          <Soft>Its probes go before temperature and humidity; the draught is yours.</Soft>
        ) : null}
        <FormField
          control={form.control}
          name="temperatureC"
          label={`Temperature, ${temperature.unit}`}
          check={(text) => temperature.parse(text) !== undefined || 'A number of degrees.'}
          keyboard="decimal-pad"
        />
        <FormField
          control={form.control}
          name="relativeHumidityPct"
          label="Humidity, %"
          check={numberCheck(0, 100)}
          keyboard="decimal-pad"
        />
        <FormField
          control={form.control}
          name="draughtMS"
          label="Draught about the shelves, m/s"
          check={numberCheck(0, 5)}
          hint="0.1 in a lived-in room, 0.3 under a fan."
          keyboard="decimal-pad"
        />
        <FormDay control={form.control} name="since" label="So since" max={today} />
      </Form>
      <LinkRow links={[{ title: `Take ${room.name} as usual`, onPress: () => void set(null).catch(form.place) }]} />
    </View>
  );
}
