import { router } from 'expo-router';
import { memo, useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { useGone } from '@/client/gone';
import { useNextMoults } from '@/client/growthWorker';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { MOST_IDS, tableAddress } from '@/contract/tables';
import type { GoneResident, Home, Resident, TakenBack } from '@/contract/records';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { BoxTile } from '../drawings/BoxTile';
import { SearchField } from '../kit/SearchField';
import { ListRow } from '../kit/ListRow';
import { LinkRow } from '../components/LinkRow';
import { ListScreen } from '../components/ListScreen';
import { saveFrom } from '../components/saveFile';
import { useLoadState } from '../components/LoadState';
import { useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { StatusMark } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Name, Soft, Strong, Title } from '../components/Words';
import { Trouble } from '../housing/Trouble';
import { HOME_WORD } from '@/words/homeState';
import { found, soughtOf } from '../residents/search';
import { space, stroke } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { calledWords, leftWords, lifeWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

const ORDERS = [
  { value: 'shelf', title: 'By shelf' },
  { value: 'moult', title: 'Next moult' },
  { value: 'gone', title: 'Gone' },
] as const;
type Order = (typeof ORDERS)[number]['value'];

type Item =
  | { key: string; heading: string; note: string }
  | { key: string; resident: Resident; home: Home; moult?: string | undefined }
  | { key: string; gone: GoneResident }
  | { key: string; takenBack: TakenBack };

/** Everybody: by shelf, by the next moult, and those that are here no longer. */
export function ResidentsScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { residents } = useHouse();
  const [order, setOrder] = useKept<Order>('/residents order', 'shelf');
  const [typed, setTyped] = useKept('/residents search', '');
  const items = useItems(order, typed);
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <ListScreen
      place="/residents"
      items={items ?? []}
      keyOf={(item) => item.key}
      row={(item) => <Row item={item} chosenId={chosenId} />}
      header={
        <View style={{ gap: space.m }}>
          <Title>Residents</Title>
          <Soft>
            {residents.length === 1 ? '1 resident' : `${residents.length} residents: animals, groups and colonies`}
          </Soft>
          <SearchField label="Find by name, box or batch" value={typed} onChange={setTyped} />
          <Choices label="Order" choices={ORDERS} value={order} onChange={setOrder} />
          {items === null ? <Body>Working out the next moults.</Body> : null}
          {items?.length === 0 ? <Body>{nobody(order, typed)}</Body> : null}
          {items && items.length > 0 ? (
            <LinkRow links={[{ title: 'These as a table', onPress: () => saveFrom(tableOf(items, typed)) }]} />
          ) : null}
        </View>
      }
      actions={
        <>
          <Button grow title="Take an animal in" onPress={() => router.push('/take-in')} />
          <Button grow rank="second" title="Many at once" onPress={() => router.push('/bulk')} />
        </>
      }
    />
  );
}

/** Those that were searched for, as far as an address holds them; else everybody. */
function tableOf(items: readonly Item[], typed: string): string {
  const ids = items.flatMap((each) => ('resident' in each ? each.resident.id : 'gone' in each ? each.gone.id : []));
  const isAll = typed.trim() === '' || ids.length > MOST_IDS;
  return tableAddress('residents', 'csv', isAll ? {} : { ids: ids.join(',') });
}

function nobody(order: Order, typed: string): string {
  if (typed.trim() !== '') return `Nobody by “${typed.trim()}”.`;
  return order === 'gone' ? 'Nobody has left.' : order === 'moult' ? 'Nobody here moults.' : 'Nobody yet.';
}

/** What the list shows; null while the next moults are worked out. */
function useItems(order: Order, typed: string): Item[] | null {
  const { shelves, homes, residents, round } = useHouse();
  const { gone, takenBack, load } = useGone();
  const moults = useNextMoults(order === 'moult');
  useEffect(() => {
    if (order === 'gone') void load();
  }, [order, load, round]);
  const homeById = useMemo(() => new Map(homes.map((home) => [home.id, home])), [homes]);
  const sought = useMemo(
    () =>
      residents.flatMap((resident) => {
        const home = homeById.get(resident.homeId);
        return home ? [{ ...soughtOf(resident, home.code), home }] : [];
      }),
    [residents, homeById],
  );
  return useMemo(() => {
    if (order === 'gone') {
      const left = gone.map((each) => ({ ...soughtOf(each, homeById.get(each.homeId)?.code ?? ''), gone: each }));
      return [
        ...found(left, typed).map((each) => ({ key: each.gone.id, gone: each.gone })),
        ...(typed.trim() === '' ? takenBack.map((each) => ({ key: each.id, takenBack: each })) : []),
      ];
    }
    const here = found(sought, typed);
    if (order === 'moult') {
      if (!moults) return null;
      const today = round?.on ?? '';
      return here
        .flatMap(({ resident, home }) => {
          const next = moults.get(resident.id);
          if (!next) return [];
          const likely = next.p90 <= today ? 'any day now' : `about ${dayWords(next.median, today)}`;
          const window = `${likely}, ${dayWords(next.p10, today)} to ${dayWords(next.p90, today)}`;
          return [{ key: resident.id, resident, home, moult: window, on: next.median }];
        })
        .sort((a, b) => a.on.localeCompare(b.on));
    }
    return shelves.flatMap((shelf): Item[] => {
      const onShelf = here.filter(({ home }) => home.shelfId === shelf.id);
      if (onShelf.length === 0) return [];
      return [
        { key: shelf.id, heading: shelf.name, note: shelf.room },
        ...onShelf.map(({ resident, home }) => ({ key: resident.id, resident, home })),
      ];
    });
  }, [order, typed, gone, takenBack, sought, moults, shelves, homeById, round]);
}

function Row({ item, chosenId }: { item: Item; chosenId: string | undefined }) {
  if ('heading' in item) return <ShelfHeading name={item.heading} note={item.note} />;
  if ('gone' in item) return <GoneRow gone={item.gone} isChosen={item.gone.id === chosenId} />;
  if ('takenBack' in item) return <TakenBackRow takenBack={item.takenBack} />;
  const { resident, home, moult } = item;
  return <ResidentRow resident={resident} home={home} moult={moult} isChosen={resident.id === chosenId} />;
}

interface RowProps {
  resident: Resident;
  home: Home;
  /** Shown in the place of what is wrong with its home, when the list is about moults. */
  moult: string | undefined;
  isChosen: boolean;
}

/** Drawn again only when something about it has changed: the list is long, and typing goes through it. */
const ResidentRow = memo(function ResidentRow({ resident, home, moult, isChosen }: RowProps) {
  const length = useLength();
  const verdict = home.state?.verdict ?? null;
  const about = moult ?? (verdict && HOME_WORD[verdict]);
  return (
    <ListRow
      label={[calledWords(resident), resident.scientificName, home.code, ...(about ? [about] : [])].join(', ')}
      onPress={() => router.push(`/residents/${resident.id}`)}
      isChosen={isChosen}
      left={<BoxTile home={home} resident={resident} />}
      right={moult === undefined && verdict ? <StatusMark status={verdict} /> : null}
    >
      <Name>{resident.scientificName}</Name>
      {moult === undefined ? <Trouble state={home.state} /> : <Strong>{moult}</Strong>}
      <Soft>{[resident.called, lifeWords(resident, length)].filter((word) => word !== null).join(', ')}</Soft>
    </ListRow>
  );
});

/** One that was taken in by mistake: it can be brought back with all that was written about it. */
function TakenBackRow({ takenBack }: { takenBack: TakenBack }) {
  const styles = useStyles();
  const restore = useLog((log) => log.restore);
  const today = useHouse((house) => house.round?.on ?? takenBack.takenInOn);
  const { called, scientificName, takenInOn, entryId } = takenBack;
  return (
    <View style={styles.takenBack}>
      <View style={styles.who}>
        <Name>{scientificName}</Name>
        <Soft>
          {[called, `taken in ${dayWords(takenInOn, today)}, and taken back`]
            .filter((word) => word !== null)
            .join(', ')}
        </Soft>
      </View>
      <Button rank="second" title="Bring back" onPress={() => void restore(entryId)} />
    </View>
  );
}

function GoneRow({ gone, isChosen }: { gone: GoneResident; isChosen: boolean }) {
  const today = useHouse((house) => house.round?.on ?? gone.leftOn);
  const left = leftWords(gone, today);
  return (
    <ListRow
      label={`${calledWords(gone)}, ${gone.scientificName}, ${left}`}
      onPress={() => router.push(`/residents/${gone.id}`)}
      isChosen={isChosen}
    >
      <Name>{gone.scientificName}</Name>
      <Soft>{[gone.called, left].filter((word) => word !== null).join(', ')}</Soft>
    </ListRow>
  );
}

const useStyles = makeStyles((theme) => ({
  takenBack: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
  who: { flex: 1 },
}));
