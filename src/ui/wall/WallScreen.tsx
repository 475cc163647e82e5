import { router } from 'expo-router';
import { startTransition, useCallback, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { FlatList, View } from 'react-native';
import { putHome } from '@/client/arrange';
import { sectionOf } from '@/client/fitting';
import { useNextMoults } from '@/client/growthWorker';
import { useHouse } from '@/client/house';
import { useStock } from '@/client/stock';
import { tenantsOf } from '@/client/tenants';
import { fillingMassG, loadOf } from '@/client/weights';
import type { Home, Shelf } from '@/contract/records';
import { groupBy } from '@/core/groupBy';
import { Button } from '../kit/Button';
import { useLoadState } from '../components/LoadState';
import { paneStyles } from '../components/paneStyles';
import { rowsToPlace, useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { useIsWide } from '../components/useLayout';
import { useScroller } from '../components/useScroller';
import { makeStyles, useTheme } from '../components/useStyles';
import { Body } from '../components/Words';
import { space } from '../theme/tokens';
import { temperatureWords } from '@/words/temperature';
import { usePreferences } from '@/client/preferences';
import { Arranging, type Spot } from './Arranging';
import type { Look } from './boxFacts';
import { WallHead } from './WallHead';
import { wallKeys } from './wallKeys';
import { StandingBox, WallShelf } from './WallShelf';
import { fittingPxPerMm, ZOOM_STEP, zoomed } from './wallScale';

/** Drawn at once: as many shelves as fill a wide screen, and a phone, where stops stand between them. */
const FIRST_SHELVES = { wide: 4, phone: 1 };
/** Of the wall so many screens are in the page: what was seen stays there while one goes on. Chosen here */
const WINDOWS = 9;
/** A shelf at a time, so that the wall moves on under the hand between two. ms */
const BATCH_MS = 16;

/** The house as it stands: every shelf of a room with every box at its place, drawn to one scale. */
export function WallScreen({ chosenId }: { chosenId?: string | undefined }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const isWide = useIsWide();
  const loading = useLoadState();
  const { shelves, homes, residents, round, care } = useHouse();
  const { table, mixes } = useStock();
  const unit = usePreferences((preferences) => preferences.temperatureUnit);
  const [look, setLook] = useKept<Look>('/homes look', 'today');
  const [roomId, setRoomId] = useKept<string>('/homes room', '');
  const [times, setTimes] = useKept('/homes zoom', 1);
  const [widthPx, setWidthPx] = useState(0);
  const [isWhole, setIsWhole] = useState(false);
  const scroll = useScroller<FlatList<Shelf>>(isWhole ? undefined : `/homes ${roomId}`);
  const moults = useNextMoults(look === 'moults');

  const chosenShelf = shelves.find(({ id }) => id === homes.find((home) => home.id === chosenId)?.shelfId);
  const room =
    [roomId, chosenShelf?.roomId].find((id) => shelves.some((shelf) => shelf.roomId === id)) ?? shelves[0]?.roomId;
  const here = useMemo(() => shelves.filter((shelf) => shelf.roomId === room), [shelves, room]);
  const boxesOf = useMemo(() => groupBy(homes, (home) => home.shelfId), [homes]);
  const tenants = tenantsOf(residents);
  const fitting = useMemo(() => {
    const widths = here.map((shelf) =>
      (boxesOf.get(shelf.id) ?? []).map((home) => sectionOf(care, home, undefined).widthMm),
    );
    return fittingPxPerMm(widths, isWide ? widthPx - 2 * space.l : WIDTH_ON_PHONE * Math.max(1, widthPx));
  }, [here, boxesOf, care, widthPx, isWide]);
  const pxPerMm = zoomed(fitting, times);
  const open = useCallback((home: Home) => router.push(`/homes/${home.id}`), []);
  const temperature = useMemo(() => temperatureWords(unit), [unit]);
  const view = useMemo(() => {
    const massG = (home: Home) =>
      look === 'load' && table ? fillingMassG(home, tenants.get(home.id)?.[0], care, table, mixes) : null;
    return { asked: { look, round, temperature, moults, massG }, care, pxPerMm, open };
  }, [look, round, temperature, moults, table, tenants, care, mixes, pxPerMm, open]);
  if (loading || !round) return <Screen>{loading}</Screen>;

  /** What is said where a shelf then carries more than it bears, or nearly. */
  const loadWords = (home: Home, shelfId: string): string => {
    const limitKg = shelves.find(({ id }) => id === shelfId)?.loadLimitKg;
    if (!table || limitKg === undefined || limitKg === null) return '';
    const there = [...(boxesOf.get(shelfId) ?? []).filter(({ id }) => id !== home.id), home];
    const { status, massKg } = loadOf(limitKg, there, residents, care, table, mixes);
    if (status === 'pass') return '';
    const much = status === 'fail' ? 'too much' : 'nearly all that it bears';
    return ` It carries ${massKg.toFixed(0)} of ${limitKg} kg now: ${much}.`;
  };
  const put = (home: Home, { shelfId, shelfName, before }: Spot) => {
    const where = before ? `${shelfName}, before ${before.code}` : `${shelfName}, at its end`;
    void putHome(home, shelfId, before?.id ?? null, `${home.code} stands on ${where}.${loadWords(home, shelfId)}`);
  };
  const board = (shelf: Shelf) => (
    <WallShelf
      {...{ shelf, view }}
      tenantsOf={tenants}
      boxes={boxesOf.get(shelf.id)}
      chosenId={shelf.id === chosenShelf?.id ? chosenId : undefined}
    />
  );
  const lifted = (home: Home) => (
    <StandingBox {...{ home, view }} tenants={tenants.get(home.id) ?? []} isChosen={false} />
  );
  // What takes a picture of the wall is fetched when one is wanted.
  const withWhole = async (does: 'exportWall' | 'printWall') => {
    const pictures = await import('./exportWall');
    // Only what is near the window is in the page: for paper all of it is, for a moment.
    flushSync(() => setIsWhole(true));
    const wall = (scroll.current?.getScrollableNode() as HTMLElement | undefined)?.firstElementChild;
    if (wall instanceof HTMLElement) pictures[does](wall, theme.colors);
    setIsWhole(false);
  };
  return (
    <View style={styles.pane} role="main" onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}>
      <Arranging picture={lifted} onPut={put}>
        <FlatList
          key={isWhole ? 'whole' : 'near'}
          ref={scroll}
          style={styles.scroll}
          data={here}
          keyExtractor={({ id }) => id}
          renderItem={({ item }) => board(item)}
          extraData={[view, boxesOf, chosenId]}
          initialNumToRender={
            isWhole ? here.length : rowsToPlace(`/homes ${roomId}`, isWide ? FIRST_SHELVES.wide : FIRST_SHELVES.phone)
          }
          windowSize={isWhole ? 100 : WINDOWS}
          maxToRenderPerBatch={isWhole ? here.length : 1}
          updateCellsBatchingPeriod={BATCH_MS}
          ListHeaderComponent={
            <WallHead
              {...{ look, setLook, room, setRoomId }}
              onZoom={(way) =>
                startTransition(() => setTimes(zoomed(pxPerMm, way > 0 ? ZOOM_STEP : 1 / ZOOM_STEP) / fitting))
              }
              onExport={() => void withWhole('exportWall')}
              onPrint={() => void withWhole('printWall')}
            />
          }
          ListEmptyComponent={
            <Body style={styles.empty}>
              Here your boxes will stand, each on its shelf and true to scale. Begin with one: its inside lengths and
              its openings.
            </Body>
          }
          {...KEYS}
        />
      </Arranging>
      <View style={[styles.actions, styles.whole]}>
        <Button title="Add a box" grow onPress={() => router.push('/homes/new')} />
        {homes.length === 0 ? (
          <Button title="Rooms and shelves" grow rank="second" onPress={() => router.push('/homes/shelves')} />
        ) : (
          <Button title="Build several" grow rank="second" onPress={() => router.push('/build')} />
        )}
      </View>
    </View>
  );
}

/** On a phone a shelf is so many times as wide as the screen, and slides. Chosen here */
const WIDTH_ON_PHONE = 2.2;

/** What a list hands on to the page, though its types do not know it: arrow keys go from box to box. */
const KEYS = { onKeyDown: wallKeys } as object;

const useStyles = makeStyles((theme) => ({
  ...paneStyles(theme.colors),
  empty: { padding: space.l },
}));
