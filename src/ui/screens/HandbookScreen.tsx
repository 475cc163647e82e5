import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useBook } from '@/client/handbook';
import { useHouse } from '@/client/house';
import { useNameIndex } from '@/client/names';
import { SearchField } from '../kit/SearchField';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../kit/ListRow';
import { ListScreen } from '../components/ListScreen';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { Body, Name, Soft, Title } from '../components/Words';
import { space } from '../theme/tokens';

interface Item {
  id: string;
  /** A species by its name, or a kind by its profile. */
  title: string;
  isKind: boolean;
  note: string;
}

/** More than a thumb scrolls through. */
const MOST = 60;

/** The handbook: every card by any of its names, and the other pages of judgement. */
export function HandbookScreen({ chosen }: { chosen?: string | undefined }) {
  const { care, species } = useHouse();
  const own = useBook()?.ownCards;
  const index = useNameIndex();
  const [typed, setTyped] = useKept('/handbook search', '');
  const loading = useLoadState();
  const items = useMemo((): Item[] => {
    const commonOf = new Map(species.map((each) => [each.name, each.commonName]));
    for (const card of own ?? [])
      commonOf.set(card.name, [card.commonName, 'your own card'].filter(Boolean).join(', '));
    const asked = typed.trim().toLowerCase();
    const item = (name: string, note: string): Item => ({ id: name, title: name, isKind: false, note });
    const kinds = care.profiles
      .filter(({ name }) => name.toLowerCase().includes(asked))
      .map(({ id, name, group }): Item => ({ id, title: name, isKind: true, note: `${group}: the whole kind` }));
    if (asked === '')
      return [...[...commonOf.keys()].sort().map((name) => item(name, commonOf.get(name) ?? '')), ...kinds];
    const found = index.search(typed, MOST).map(({ id, by }) => {
      const common = commonOf.get(id) ?? '';
      return item(id, by === id || by === common ? common : `${common}, by ${by}`);
    });
    return [...found, ...kinds];
  }, [typed, index, care, species, own]);
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <ListScreen
      place="/handbook"
      items={items}
      keyOf={({ id }) => id}
      row={(item) => <Row item={item} isChosen={item.id === chosen} />}
      header={
        <View style={{ gap: space.m }}>
          <PaneHeader back="/settings" title="More" />
          <Title>Handbook</Title>
          <LinkRow
            links={[
              { title: 'Emergency card', onPress: () => router.push('/handbook/emergency') },
              { title: 'Schools', onPress: () => router.push('/handbook/schools') },
              { title: 'Trainer', onPress: () => router.push('/handbook/trainer') },
              { title: 'What rests on what', onPress: () => router.push('/handbook/ground') },
              { title: 'A card of your own', onPress: () => router.push('/handbook/own/new') },
            ]}
          />
          <SearchField label="Find by scientific or common name" value={typed} onChange={setTyped} />
          <Soft>Old names and slips of the finger are understood.</Soft>
          {items.length === 0 ? <Body>{`No card by “${typed.trim()}”. You can write one of your own.`}</Body> : null}
        </View>
      }
    />
  );
}

function Row({ item, isChosen }: { item: Item; isChosen: boolean }) {
  return (
    <ListRow
      label={`${item.title}, ${item.note}`}
      onPress={() => router.push(`/handbook/${encodeURIComponent(item.id)}`)}
      isChosen={isChosen}
    >
      {item.isKind ? <Body>{item.title}</Body> : <Name>{item.title}</Name>}
      <Soft>{item.note}</Soft>
    </ListRow>
  );
}
