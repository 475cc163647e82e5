import { Badge } from '@rneui/base/dist/Badge/Badge';
import Text from '@rneui/themed/dist/Text';
import { Link, usePathname } from 'expo-router';
import { Pressable, View } from 'react-native';
import { openToday } from '@/client/openJobs';
import { useHouse } from '@/client/house';
import { useWalkedShelves } from '../round/RoundFilter';
import { fonts, measure, space, type } from '../theme/tokens';
import { Icon, type IconName } from './Icon';
import { useIsWide } from './useLayout';
import { beginAnew } from './places';
import { makeStyles } from './useStyles';

const PLACES = {
  '/homes': { title: 'Wall', icon: 'Wall' },
  '/round': { title: 'Round', icon: 'Route' },
  '/residents': { title: 'Residents', icon: 'Bug' },
  '/seasons': { title: 'Seasons', icon: 'Seasons' },
  '/store': { title: 'Store', icon: 'Store' },
  '/handbook': { title: 'Handbook', icon: 'Handbook' },
  '/settings': { title: 'More', icon: 'Settings' },
} as const satisfies Record<string, { title: string; icon: IconName }>;
type Place = keyof typeof PLACES;

/** A phone begins with the walk, a wide screen with the wall; on a phone the handbook stands behind the last door. */
const ORDER: Record<'phone' | 'wide', readonly Place[]> = {
  phone: ['/round', '/residents', '/homes', '/seasons', '/store', '/settings'],
  wide: ['/homes', '/round', '/residents', '/seasons', '/store', '/handbook', '/settings'],
};

/** What has no place of its own in the bar, by the place that leads there. */
const LED_TO: Partial<Record<Place, readonly string[]>> = {
  '/round': ['/scan', '/b'],
  '/residents': ['/take-in', '/bulk', '/lists', '/life'],
  '/homes': ['/build', '/import'],
  '/settings': ['/handbook', '/keepers', '/profiles', '/probes', '/scores', '/backup', '/labels', '/paper', '/people'],
};

/** The place in the bar that an address belongs to. */
function placeOf(here: string, places: readonly Place[]): Place | undefined {
  const isIn = (path: string) => here === path || here.startsWith(`${path}/`);
  return places.find(isIn) ?? places.find((place) => LED_TO[place]?.some(isIn));
}

/** The places of the program: along the bottom of a phone, down the side of a wide screen. */
export function NavBar() {
  const isWide = useIsWide();
  const styles = useStyles({ isWide });
  const here = usePathname();
  const places = ORDER[isWide ? 'wide' : 'phone'];
  const at = placeOf(here, places);
  const cannotWait = useCannotWait();
  // Whoever looks in sees the sheet, and nothing else of the house.
  if (here.startsWith('/sitter/') || here === '/pair') return null;
  return (
    <View role="navigation" aria-label="Places" style={styles.bar}>
      {places.map((path) => {
        const { title, icon } = PLACES[path];
        const isHere = path === at;
        const urgent = path === '/round' ? cannotWait : 0;
        return (
          <Link key={path} href={path} asChild>
            <Pressable
              role="link"
              aria-label={urgent > 0 ? `${title}, ${urgent} cannot wait` : title}
              aria-current={isHere ? 'page' : undefined}
              style={styles.place}
              // The walk goes on where it was; a list is looked through from its top. (The link takes the press itself.)
              onPressIn={() => (path === '/round' ? undefined : beginAnew(path))}
            >
              <View style={[styles.edge, isHere && styles.edgeHere]} />
              <Icon name={icon} color={isHere ? styles.here.color : styles.title.color} />
              <Text style={[styles.title, isHere && styles.here]}>{title}</Text>
              {urgent > 0 ? (
                <Badge
                  value={urgent}
                  containerStyle={styles.badge}
                  badgeStyle={styles.badgeFill}
                  textStyle={styles.badgeText}
                  aria-hidden
                />
              ) : null}
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
}

/** How many jobs of today cannot wait, as the round itself says, on the way there. */
function useCannotWait(): number {
  const { round, shelves } = useHouse();
  const walked = new Set(useWalkedShelves(shelves).map(({ id }) => id));
  const stops = (round?.stops ?? []).filter(({ shelfId }) => walked.has(shelfId));
  return openToday(stops).filter(({ cannotWait }) => cannotWait).length;
}

const useStyles = makeStyles((theme, { isWide }: { isWide: boolean }) => ({
  bar: {
    flexDirection: isWide ? 'column' : 'row',
    backgroundColor: theme.colors.bar,
    ...(isWide ? { width: measure.rail, paddingTop: space.xl } : {}),
  },
  place: {
    ...(isWide ? { height: 78 } : { flex: 1, height: 68 }),
    alignItems: 'center',
    justifyContent: 'center',
    gap: space.xs,
  },
  edge: isWide
    ? { position: 'absolute', left: 0, top: 0, bottom: 0, width: 4 }
    : { position: 'absolute', left: 0, top: 0, right: 0, height: 4 },
  edgeHere: { backgroundColor: theme.colors.accent },
  badge: { position: 'absolute', top: isWide ? 10 : 6, left: '50%', marginLeft: space.s },
  badgeFill: { backgroundColor: theme.colors.clay, borderColor: theme.colors.bar },
  badgeText: { fontFamily: fonts.bold, color: theme.colors.onGood },
  title: { fontSize: type.small, color: theme.colors.barInkSoft },
  here: { fontFamily: fonts.bold, color: theme.colors.barInk },
}));
