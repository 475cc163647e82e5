import { router } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Home } from '@/contract/records';
import { calledWords } from '@/words/residents';
import { jobCountWords } from '@/words/scan';
import { LinkRow } from '../components/LinkRow';
import { Body, Heading } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { QuietPanel } from '../residents/QuietPanel';
import { StopPlace } from '../round/StopPlace';
import { space } from '../theme/tokens';

/** A box that was scanned: who lives there, what they can do to a hand, and what is due at it today. */
export function AtTheBox({ home }: { home: Home }) {
  const { round, residents } = useHouse();
  const tenants = residents.filter(({ homeId }) => homeId === home.id);
  const stops = (round?.stops ?? []).filter(({ homeId }) => homeId === home.id);
  return (
    <View style={{ gap: space.s }}>
      <Heading>{`${home.code}: ${jobCountWords(stops.flatMap(({ jobs }) => jobs))}`}</Heading>
      {tenants.length === 0 ? <Body>Nobody lives here.</Body> : null}
      {tenants.map((resident) => (
        <View key={resident.id}>
          <Cautions who={resident} before="open" />
          <QuietPanel residentId={resident.id} />
        </View>
      ))}
      {stops
        .filter(({ jobs }) => jobs.length > 0)
        .map((stop) => (
          <StopPlace
            key={stop.residentId}
            id={`scanned ${stop.residentId}`}
            stop={stop}
            today={round?.on ?? ''}
            isChosen={false}
          />
        ))}
      <LinkRow
        links={[
          ...tenants.map((resident) => ({
            title: `Record of ${calledWords(resident)}`,
            onPress: () => router.push(`/residents/${resident.id}`),
          })),
          { title: `Box ${home.code}`, onPress: () => router.push(`/homes/${home.id}`) },
        ]}
      />
    </View>
  );
}
