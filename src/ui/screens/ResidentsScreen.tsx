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
import { Body, Name, Soft, Title } from '../components/Words';
import { Trouble } from '../housing/Trouble';
import { calledWords, lifeWords } from '../words/residents';
import { useLength } from '../words/useLength';

/** Everybody, in shelf order. */
export function ResidentsScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { shelves, homes, residents, care } = useHouse();
  const length = useLength();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const housed = residents.flatMap((resident) => {
    const home = homes.find((each) => each.id === resident.homeId);
    return home ? [{ resident, home, fit: fitOf(care, home, resident) }] : [];
  });
  return (
    <Screen actions={<Button grow title="Take an animal in" onPress={() => router.push('/take-in')} />}>
      <Title>Residents</Title>
      <Soft>
        {residents.length === 1 ? '1 resident' : `${residents.length} residents: animals, groups and colonies`}
      </Soft>
      {residents.length === 0 ? <Body>Nobody yet.</Body> : null}
      {shelves.map((shelf) => {
        const here = housed.filter(({ home }) => home.shelfId === shelf.id);
        if (here.length === 0) return null;
        return (
          <View key={shelf.id}>
            <ShelfHeading name={shelf.name} note={shelf.room} />
            {here.map(({ resident, home, fit }) => (
              <ListRow
                key={resident.id}
                label={`${calledWords(resident)}, ${resident.scientificName}, ${home.code}, ${STATUS_WORD[fit.verdict]}`}
                onPress={() => router.push(`/residents/${resident.id}`)}
                isChosen={resident.id === chosenId}
                left={<CodeTag code={home.code} />}
                right={<StatusMark status={fit.verdict} />}
              >
                <Name>{resident.scientificName}</Name>
                <Trouble fit={fit} />
                <Soft>{[resident.called, lifeWords(resident, length)].filter((word) => word !== null).join(', ')}</Soft>
              </ListRow>
            ))}
          </View>
        );
      })}
    </Screen>
  );
}
