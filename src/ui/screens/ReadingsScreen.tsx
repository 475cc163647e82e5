import { router } from 'expo-router';
import { View } from 'react-native';
import { useHomeAir } from '@/client/homeAir';
import { useHouse } from '@/client/house';
import { Fold } from '../kit/Fold';
import { HandReading } from '../air/HandReading';
import { NewProbe } from '../air/NewProbe';
import { ProbeList } from '../air/ProbeList';
import { Button } from '../kit/Button';
import { useLoadState } from '../components/LoadState';
import { Waiting } from '../kit/Waiting';
import { HomeHead } from '../housing/HomeHead';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { Body, Heading, Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { alarmWords } from '@/words/jobs';
import { useTemperature } from '@/words/temperature';

/** What is measured in a home: by hand, by probes, from the file of a logger, on the scale. */
export function ReadingsScreen({ id }: { id: string }) {
  const { homes, residents, care, round } = useHouse();
  const temperature = useTemperature();
  const loading = useLoadState();
  const { air, problem, load } = useHomeAir(id);
  const home = homes.find((each) => each.id === id);
  if (loading) return <Screen>{loading}</Screen>;
  if (!home || !air) {
    return (
      <Screen>
        {home ? <HomeHead home={home} part="readings" /> : <PaneHeader back="/homes" title="Wall" />}
        <Waiting problem={home ? problem : 'There is no box here.'} again={home && (() => void load())}>
          Asking for its readings…
        </Waiting>
      </Screen>
    );
  }
  const tenant = residents.find((each) => each.homeId === id);
  const climate = tenant && care.of(tenant).climate;
  const today = round?.on ?? '';
  const { waterLost } = air;
  return (
    <Screen
      actions={
        <Button grow rank="second" title="Bring in a logger’s file" onPress={() => router.push(`/import?home=${id}`)} />
      }
    >
      <HomeHead home={home} part="readings" />
      {air.alarms.map((alarm) => (
        <View
          key={`${alarm.probeId} ${alarm.kind}`}
          style={{ flexDirection: 'row', alignItems: 'center', gap: space.s, paddingVertical: space.xs }}
        >
          <StatusMark status="fail" />
          <Body style={{ flex: 1 }}>{alarmWords(alarm, temperature)}</Body>
        </View>
      ))}
      {waterLost ? (
        <Soft>{`On the scale it has lost ${Math.round(waterLost.lostMl)} mL since it was damped, ${waterLost.mlPerDay.toFixed(1)} mL a day.`}</Soft>
      ) : null}
      <Heading style={{ marginTop: space.l, marginBottom: space.s }}>Read by hand</Heading>
      <HandReading home={home} residentId={tenant?.id} onDone={load} />
      <Heading style={{ marginTop: space.xl }}>Probes</Heading>
      <ProbeList probes={air.probes} climate={climate} today={today} onChange={load} />
      <Fold title="Another probe">
        <NewProbe at={{ home }} suggestion={`${home.code} air`} onAdded={load} />
      </Fold>
    </Screen>
  );
}
