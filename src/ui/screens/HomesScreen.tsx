import { router } from 'expo-router';
import { memo, useMemo } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useStock } from '@/client/stock';
import { loadOf } from '@/client/weights';
import type { Home, Shelf } from '@/contract/records';
import { Button } from '../components/Button';
import { CodeTag } from '../components/CodeTag';
import { ListRow } from '../components/ListRow';
import { ListScreen } from '../components/ListScreen';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { StatusMark, useStatusInk } from '../components/StatusMark';
import { Body, Name, Soft, Strong, Title } from '../components/Words';
import { Trouble } from '../housing/Trouble';
import { space } from '../theme/tokens';
import { HOME_WORD } from '../words/homeState';
import { containerWords } from '../words/residents';
import { useLength } from '../words/useLength';

type Item = { key: string; shelf: Shelf; homes: Home[] } | { key: string; home: Home };

/** Every box, in shelf order: who lives in it and whether it serves; and what each shelf carries. */
export function HomesScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { shelves, homes } = useHouse();
  const items = useMemo(
    () =>
      shelves.flatMap((shelf): Item[] => {
        const here = homes.filter((home) => home.shelfId === shelf.id);
        if (here.length === 0) return [];
        return [{ key: shelf.id, shelf, homes: here }, ...here.map((home) => ({ key: home.id, home }))];
      }),
    [shelves, homes],
  );
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const free = homes.filter((home) => home.residentIds.length === 0).length;
  return (
    <ListScreen
      place="/homes"
      items={items}
      keyOf={(item) => item.key}
      row={(item) =>
        'shelf' in item ? (
          <View>
            <ShelfHeading name={item.shelf.name} note={item.shelf.room} />
            <ShelfWeight shelf={item.shelf} homes={item.homes} />
          </View>
        ) : (
          <HomeRow home={item.home} isChosen={item.home.id === chosenId} />
        )
      }
      header={
        <View>
          <Title>Homes</Title>
          <Soft>{`${homes.length} boxes, ${free} free`}</Soft>
          {homes.length === 0 ? <Body>No boxes yet. Measure one inside and add it.</Body> : null}
        </View>
      }
      actions={
        <>
          <Button grow title="Add a box" onPress={() => router.push('/homes/new')} />
          <Button grow rank="second" title="Build several" onPress={() => router.push('/build')} />
        </>
      }
    />
  );
}

/** Drawn again only when something about it has changed: the list is long. */
const HomeRow = memo(function HomeRow({ home, isChosen }: { home: Home; isChosen: boolean }) {
  const residents = useHouse((house) => house.residents);
  const length = useLength();
  const tenants = residents.filter((each) => each.homeId === home.id);
  const verdict = home.state?.verdict ?? null;
  const names = tenants.map((each) => each.scientificName).join(', ');
  return (
    <ListRow
      label={`${home.code}, ${names === '' ? 'free' : names}${verdict ? `, ${HOME_WORD[verdict]}` : ''}`}
      onPress={() => router.push(`/homes/${home.id}`)}
      isChosen={isChosen}
      left={<CodeTag code={home.code} />}
      right={verdict ? <StatusMark status={verdict} /> : null}
    >
      {tenants.length === 0 ? <Strong>Free</Strong> : null}
      {tenants.map((each) => (
        <Name key={each.id}>{each.scientificName}</Name>
      ))}
      <Trouble state={home.state} />
      <Soft>{`${containerWords(home, length)}${home.quarantineSince === null ? '' : ', in quarantine'}`}</Soft>
    </ListRow>
  );
});

/** The soil, water and boxes of a shelf against what it bears. */
function ShelfWeight({ shelf, homes }: { shelf: Shelf; homes: Home[] }) {
  const { care, residents } = useHouse();
  const { table, mixes } = useStock();
  const load =
    table && shelf.loadLimitKg !== null ? loadOf(shelf.loadLimitKg, homes, residents, care, table, mixes) : null;
  const ink = useStatusInk(load?.status ?? 'pass');
  if (!load) return null;
  const words = `soil and water ${load.massKg.toFixed(0)} of ${load.limitKg} kg`;
  return load.status === 'pass' ? (
    <Soft style={{ marginTop: space.s }}>{words}</Soft>
  ) : (
    <Strong style={{ color: ink }}>{`${words}: ${load.status === 'fail' ? 'too heavy' : 'nearly full'}`}</Strong>
  );
}
