import { router } from 'expo-router';
import { useHouse } from '@/client/house';
import { useRooms } from '@/client/rooms';
import { countWords } from '@/words/count';
import { ListRow } from '../kit/ListRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';
import { roomWords, valuesWords } from '@/words/air';
import { useTemperature } from '@/words/temperature';

/** The rooms with their air, each with a page, and all probes that hang in homes. */
export function ProbesScreen({ chosenId }: { chosenId?: string | undefined }) {
  const homes = useHouse((house) => house.homes);
  const loading = useLoadState();
  const temperature = useTemperature();
  const { rooms, probes, problem, load } = useRooms();
  if (loading) return <Screen>{loading}</Screen>;
  const inHomes = probes.filter((each) => each.homeId !== null);
  return (
    <Screen place="/probes">
      <PaneHeader back="/settings" title="More" />
      <Title>Rooms and probes</Title>
      {rooms ? null : (
        <Waiting problem={problem} again={() => void load()}>
          Asking for the rooms…
        </Waiting>
      )}
      {(rooms ?? []).map((room) => {
        const hung = probes.filter((each) => each.roomId === room.id).length;
        return (
          <ListRow
            key={room.id}
            label={room.name}
            onPress={() => router.push(`/probes/${room.id}`)}
            isChosen={room.id === chosenId}
            right={<Soft>{hung === 0 ? 'no probe' : countWords(hung, 'probe')}</Soft>}
          >
            <Strong>{room.name}</Strong>
            <Soft>{roomWords(room, temperature)}</Soft>
          </ListRow>
        );
      })}
      {rooms ? (
        <>
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
        </>
      ) : null}
    </Screen>
  );
}
