import { router } from 'expo-router';
import { View } from 'react-native';
import { fitOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { Button } from '../components/Button';
import { CodeTag } from '../components/CodeTag';
import { ListRow } from '../components/ListRow';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { STATUS_WORD, StatusMark } from '../components/StatusMark';
import { Body, Name, Soft, Strong, Title } from '../components/Words';
import { containerWords } from '../words/residents';
import { useLength } from '../words/useLength';

/** Every box, in shelf order: who lives in it and whether it serves. */
export function HomesScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { shelves, homes, residents } = useHouse();
  const length = useLength();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const free = homes.filter((home) => home.residentIds.length === 0).length;
  return (
    <Screen actions={<Button grow title="Add a box" onPress={() => router.push('/homes/new')} />}>
      <Title>Homes</Title>
      <Soft>{`${homes.length} boxes, ${free} free`}</Soft>
      {homes.length === 0 ? <Body>No boxes yet. Measure one inside and add it.</Body> : null}
      {shelves.map((shelf) => {
        const here = homes.filter((home) => home.shelfId === shelf.id);
        if (here.length === 0) return null;
        return (
          <View key={shelf.id}>
            <ShelfHeading name={shelf.name} note={shelf.room} />
            {here.map((home) => {
              const resident = residents.find((each) => each.homeId === home.id);
              const verdict = resident && fitOf(home, resident).verdict;
              return (
                <ListRow
                  key={home.id}
                  label={`${home.code}, ${resident ? `${resident.scientificName}, ` : 'free, '}${verdict ? STATUS_WORD[verdict] : ''}`}
                  onPress={() => router.push(`/homes/${home.id}`)}
                  isChosen={home.id === chosenId}
                  left={<CodeTag code={home.code} />}
                  right={verdict ? <StatusMark status={verdict} /> : null}
                >
                  {resident ? <Name>{resident.scientificName}</Name> : <Strong>Free</Strong>}
                  <Soft>{containerWords(home, length)}</Soft>
                </ListRow>
              );
            })}
          </View>
        );
      })}
    </Screen>
  );
}
