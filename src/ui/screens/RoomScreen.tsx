import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useRooms } from '@/client/rooms';
import { useLog } from '@/client/log';
import type { Room } from '@/contract/readings';
import { Fold } from '../kit/Fold';
import { NewProbe } from '../air/NewProbe';
import { ProbeList } from '../air/ProbeList';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { LinkRow } from '../components/LinkRow';
import { Waiting } from '../kit/Waiting';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
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
      {rooms ? null : <Waiting problem={problem}>Asking for its air…</Waiting>}
      {room ? (
        <View style={{ gap: space.s }}>
          <Title>{room.name}</Title>
          <Soft>{roomWords(room, temperature)}</Soft>
          <ProbeList probes={probes.filter((each) => each.roomId === room.id)} today={today} onChange={load} />
          <Fold title={`A probe in ${room.name}`}>
            <NewProbe at={{ roomId: room.id }} suggestion={room.name} onAdded={load} />
          </Fold>
          <Heading style={{ marginTop: space.l }}>{`The air of ${room.name}, as you know it`}</Heading>
          <RoomFields key={JSON.stringify(room)} room={room} onChange={load} />
        </View>
      ) : null}
    </Screen>
  );
}

/** What a keeper knows of a room: used until its probes say otherwise; draught is never measured by them. */
function RoomFields({ room, onChange }: { room: Room; onChange: () => Promise<void> }) {
  const temperature = useTemperature();
  const loadHouse = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const [typed, setTyped] = useState({
    temperature: temperature.value(room.air.temperatureC).toFixed(1),
    humidity: String(Math.round(room.air.relativeHumidityPct)),
    draught: String(room.air.draughtMS),
  });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const type = (field: keyof typeof typed) => (text: string) => setTyped((before) => ({ ...before, [field]: text }));
  const save = async (isReset: boolean) => {
    const air = {
      temperatureC: temperature.parse(typed.temperature) ?? NaN,
      relativeHumidityPct: numberIn(typed.humidity) ?? NaN,
      draughtMS: numberIn(typed.draught) ?? NaN,
      ...(room.air.dailySwingK !== undefined && { dailySwingK: room.air.dailySwingK }),
    };
    try {
      await call('changeRoom', { params: { id: room.id }, body: { air: isReset ? null : air } });
      show({ text: isReset ? `${room.name}: taken as usual.` : `${room.name}: air set.` });
      await Promise.all([onChange(), loadHouse()]);
    } catch (error) {
      if (error instanceof CallFailed) {
        setProblems(Object.fromEntries(error.fields.map(({ path, message }) => [path.replace('air.', ''), message])));
      }
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      {room.from === 'readings' ? (
        <Soft>Its probes go before temperature and humidity; the draught is yours.</Soft>
      ) : null}
      <Field
        label={`Temperature, ${temperature.unit}`}
        value={typed.temperature}
        onChange={type('temperature')}
        problem={problems.temperatureC}
        keyboard="decimal-pad"
      />
      <Field
        label="Humidity, %"
        value={typed.humidity}
        onChange={type('humidity')}
        problem={problems.relativeHumidityPct}
        keyboard="decimal-pad"
      />
      <Field
        label="Draught about the shelves, m/s"
        value={typed.draught}
        onChange={type('draught')}
        problem={problems.draughtMS}
        hint="0.1 in a lived-in room, 0.3 under a fan."
        keyboard="decimal-pad"
      />
      <Button rank="second" title={`Set the air of ${room.name}`} onPress={() => void save(false)} />
      <LinkRow links={[{ title: `Take ${room.name} as usual`, onPress: () => void save(true) }]} />
    </View>
  );
}
