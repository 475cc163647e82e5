import { router } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Probe, Room } from '@/contract/readings';
import { Fold } from '../components/Fold';
import { NewProbe } from '../air/NewProbe';
import { ProbeList } from '../air/ProbeList';
import { Button } from '../components/Button';
import { Field } from '../components/Field';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../components/ListRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { numberIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { roomWords, valuesWords } from '../words/air';
import { useTemperature } from '../words/temperature';

/** The rooms with their air and their probes, and all probes that hang in homes. */
export function ProbesScreen() {
  const { homes, round } = useHouse();
  const loading = useLoadState();
  const temperature = useTemperature();
  const [rooms, setRooms] = useState<Room[] | null>(null);
  const [probes, setProbes] = useState<Probe[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(
    () =>
      Promise.all([call('rooms', {}), call('probes', {})]).then(
        ([found, hung]) => {
          setRooms(found.rooms);
          setProbes(hung.probes);
        },
        (error: unknown) => setProblem(problemOf(error)),
      ),
    [],
  );
  useEffect(() => {
    void load();
  }, [load]);
  if (loading) return <Screen>{loading}</Screen>;
  const inHomes = probes.filter((each) => each.homeId !== null);
  return (
    <Screen>
      <PaneHeader back="/settings" title="More" />
      <Title>Rooms and probes</Title>
      {problem !== null ? <Body>{problem}</Body> : null}
      {(rooms ?? []).map((room) => (
        <View key={room.id} style={{ marginTop: space.l }}>
          <Heading>{room.name}</Heading>
          <Soft>{roomWords(room, temperature)}</Soft>
          <ProbeList
            probes={probes.filter((each) => each.roomId === room.id)}
            today={round?.on ?? ''}
            onChange={load}
          />
          <Fold title={`The air of ${room.name}, as you know it`}>
            <RoomFields key={JSON.stringify(room)} room={room} onChange={load} />
          </Fold>
          <Fold title={`A probe in ${room.name}`}>
            <NewProbe at={{ roomId: room.id }} suggestion={room.name} onAdded={load} />
            <LinkRow
              links={[{ title: 'Bring in a logger’s file', onPress: () => router.push(`/import?room=${room.id}`) }]}
            />
          </Fold>
        </View>
      ))}
      <Heading style={{ marginTop: space.xl }}>In homes</Heading>
      {inHomes.length === 0 ? <Soft>None yet. A home’s readings are the place to add one.</Soft> : null}
      {inHomes.map((probe) => {
        const home = homes.find((each) => each.id === probe.homeId);
        return (
          <ListRow
            key={probe.id}
            label={`${probe.name}, ${home?.code ?? ''}`}
            onPress={() => router.push(`/homes/${probe.homeId}/readings`)}
          >
            <Strong>{probe.name}</Strong>
            <Soft>{probe.latest ? valuesWords(probe.latest, temperature) : 'has said nothing yet'}</Soft>
          </ListRow>
        );
      })}
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
