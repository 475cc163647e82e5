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
import { Trouble } from '../housing/Trouble';
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
              const fit = resident && fitOf(home, resident);
              return (
                <ListRow
                  key={home.id}
                  label={`${home.code}, ${resident ? `${resident.scientificName}, ` : 'free, '}${fit ? STATUS_WORD[fit.verdict] : ''}`}
                  onPress={() => router.push(`/homes/${home.id}`)}
                  isChosen={home.id === chosenId}
                  left={<CodeTag code={home.code} />}
                  right={fit ? <StatusMark status={fit.verdict} /> : null}
                >
                  {resident ? <Name>{resident.scientificName}</Name> : <Strong>Free</Strong>}
                  {fit ? <Trouble fit={fit} /> : null}
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
