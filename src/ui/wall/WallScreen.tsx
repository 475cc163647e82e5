import { router } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { FlatList, View } from 'react-native';
import { putHome } from '@/client/arrange';
import { sectionOf } from '@/client/fitting';
import { useNextMoults } from '@/client/growthWorker';
import { useHouse } from '@/client/house';
import { useStock } from '@/client/stock';
import { fillingMassG, loadOf } from '@/client/weights';
import type { Home, Resident, Shelf } from '@/contract/records';
import { Button } from '../components/Button';
import { useLoadState } from '../components/LoadState';
import { rowsToPlace, useKept } from '../components/places';
import { Screen } from '../components/Screen';
import { useIsWide } from '../components/useLayout';
import { useScroller } from '../components/useScroller';
import { makeStyles, useTheme } from '../components/useStyles';
import { Body } from '../components/Words';
import { StopPlace } from '../round/StopPlace';
import { space } from '../theme/tokens';
import { useTemperature } from '../words/temperature';
import { Arranging, Lifted, ShelfEnd, type Spot } from './Arranging';
import { boxFacts, type Look } from './boxFacts';
import { exportWall } from './exportWall';
import { ShelfBoard } from './ShelfBoard';
import { WallBox } from './WallBox';
import { WallHead } from './WallHead';
import { wallKeys } from './wallKeys';
import { fittingPxPerMm, ZOOM_STEP, zoomed } from './wallScale';

/** Drawn at once: as many shelves as fill a screen. */
const FIRST_SHELVES = 6;
const NOBODY: readonly Resident[] = [];

/** The house as it stands: every shelf of a room with every box at its place, drawn to one scale. */
export function WallScreen({ chosenId }: { chosenId?: string | undefined }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const isWide = useIsWide();
  const loading = useLoadState();
  const { shelves, homes, residents, round, care } = useHouse();
  const { table, mixes } = useStock();
  const temperature = useTemperature();
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
  const boxesOf = useMemo(() => grouped(homes, (home) => home.shelfId), [homes]);
  const tenantsOf = useMemo(() => grouped(residents, (resident) => resident.homeId), [residents]);
  const fitting = useMemo(() => {
    const widths = here.map((shelf) =>
      (boxesOf.get(shelf.id) ?? []).map((home) => sectionOf(care, home, undefined).widthMm),
    );
    return fittingPxPerMm(widths, isWide ? widthPx - 2 * space.l : WIDTH_ON_PHONE * Math.max(1, widthPx));
  }, [here, boxesOf, care, widthPx, isWide]);
  const pxPerMm = zoomed(fitting, times);
  const open = useCallback((home: Home) => router.push(`/homes/${home.id}`), []);
  if (loading || !round) return <Screen>{loading}</Screen>;

  const massG = (home: Home) =>
    look === 'load' && table ? fillingMassG(home, tenantsOf.get(home.id)?.[0], care, table, mixes) : null;
  const box = (home: Home) => {
    const tenants = tenantsOf.get(home.id) ?? NOBODY;
    return (
      <WallBox
        key={home.id}
        {...{ home, tenants, care, look, pxPerMm, onOpen: open }}
        facts={boxFacts(home, tenants, { look, round, temperature, moults, massG })}
        isChosen={home.id === chosenId}
      />
    );
  };
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
  const board = (shelf: Shelf) => {
    const boxes = boxesOf.get(shelf.id) ?? [];
    const spot = (before: Home | null): Spot => ({ shelfId: shelf.id, shelfName: shelf.name, before });
    return (
      <View>
        <ShelfBoard shelf={shelf} homes={boxes}>
          {boxes.map((home) => (
            <Lifted key={home.id} home={home} spot={spot(home)}>
              {box(home)}
            </Lifted>
          ))}
          <ShelfEnd spot={spot(null)} />
        </ShelfBoard>
        {isWide ? null : (
          <View style={styles.stops}>
            {round.stops
              .filter((stop) => stop.shelfId === shelf.id && stop.jobs.length > 0)
              .map((stop) => (
                <StopPlace
                  key={stop.residentId}
                  id={stop.residentId}
                  stop={stop}
                  today={round.on}
                  isChosen={stop.homeId === chosenId}
                />
              ))}
          </View>
        )}
      </View>
    );
  };
  const save = (then: (node: HTMLElement) => void) => {
    // Only what is near the window is in the page: for paper all of it is.
    setIsWhole(true);
    setTimeout(() => {
      const node = (scroll.current?.getScrollableNode() as HTMLElement | undefined)?.firstElementChild;
      if (node instanceof HTMLElement) then(node);
      setIsWhole(false);
    }, WHOLE_AFTER_MS);
  };
  return (
    <View style={styles.pane} role="main" onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}>
      <Arranging picture={box} onPut={put}>
        <FlatList
          key={isWhole ? 'whole' : 'near'}
          ref={scroll}
          style={styles.scroll}
          data={here}
          keyExtractor={({ id }) => id}
          renderItem={({ item }) => board(item)}
          extraData={[look, pxPerMm, round, residents, homes, moults, chosenId, table]}
          initialNumToRender={isWhole ? here.length : rowsToPlace(`/homes ${roomId}`, FIRST_SHELVES)}
          windowSize={isWhole ? 100 : 5}
          ListHeaderComponent={
            <WallHead
              {...{ look, setLook, room, setRoomId }}
              onZoom={(way) => setTimes(zoomed(pxPerMm, way > 0 ? ZOOM_STEP : 1 / ZOOM_STEP) / fitting)}
              onExport={() => save((node) => exportWall(node, theme.colors.ink, theme.colors.ground))}
              onPrint={() => save(() => window.print())}
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
      <View style={styles.actions}>
        <Button title="Add a box" grow onPress={() => router.push('/homes/new')} />
        <Button title="Build several" grow rank="second" onPress={() => router.push('/build')} />
      </View>
    </View>
  );
}

/** On a phone a shelf is so many times as wide as the screen, and slides. Chosen here */
const WIDTH_ON_PHONE = 2.2;
/** What was not near the window is drawn by then. ms */
const WHOLE_AFTER_MS = 400;

/** What a list hands on to the page, though its types do not know it: arrow keys go from box to box. */
const KEYS = { onKeyDown: wallKeys } as object;

function grouped<Row>(rows: readonly Row[], keyOf: (row: Row) => string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) groups.set(keyOf(row), [...(groups.get(keyOf(row)) ?? []), row]);
  return groups;
}

const useStyles = makeStyles((theme) => ({
  pane: { flex: 1, backgroundColor: theme.colors.ground },
  scroll: { flex: 1 },
  empty: { padding: space.l },
  stops: { paddingHorizontal: space.l, marginBottom: space.m },
  actions: {
    flexDirection: 'row',
    gap: space.s,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: 1,
    borderTopColor: theme.colors.line,
    width: '100%',
  },
}));
