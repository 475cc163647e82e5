import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { chainWords, layersWords, meetingWords } from '@/words/broods';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { LinkRow } from '../components/LinkRow';
import { Body, Heading } from '../components/Words';
import { Switch } from '../kit/Switch';
import { space } from '../theme/tokens';

/** What grown females lay, and of moths when they spin, come out and meet; a cocoon that waits is marked. */
export function FlightAhead({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const temperature = useTemperature();
  const write = useLog((log) => log.write);
  const { answer } = useCall(round, () => call('broods', {}));
  const { id, stage, scientificName } = resident;
  const layer = answer?.layers.find((each) => each.residentId === id);
  const flight = answer?.flights.find((each) => each.residentIds.includes(id));
  if (!answer || (!layer && !flight)) return null;
  const waits = flight?.waitingIds.includes(id) ?? false;
  const mark = (isWaiting: boolean) =>
    write(
      { kind: 'measured', residentId: id, waits: isWaiting },
      `${calledWords(resident)}: ${isWaiting ? 'waits in its cocoon.' : 'waits no more.'}`,
    );
  const lines = flight
    ? [...chainWords(flight, answer.asOf, temperature), ...meetingWords(flight, answer.asOf, temperature)]
    : [];
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      {layer ? <Heading>Eggs</Heading> : null}
      {layer ? <Body>{layersWords(layer, answer.asOf)}</Body> : null}
      {flight ? <Heading>{`${scientificName}: coming out`}</Heading> : null}
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {stage === 'pupa' ? (
        <>
          <Switch label="It waits in its cocoon" value={waits} onChange={(value) => void mark(value)} />
          <LinkRow links={[{ title: 'Winter rest', onPress: () => router.push(`/residents/${id}/rest`) }]} />
        </>
      ) : null}
    </View>
  );
}
