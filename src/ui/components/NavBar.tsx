import Text from '@rneui/themed/dist/Text';
import { Link, usePathname } from 'expo-router';
import { Pressable, View } from 'react-native';
import { fonts, measure, space, type } from '../theme/tokens';
import { Icon, type IconName } from './Icon';
import { useIsWide } from './useLayout';
import { beginAnew } from './places';
import { makeStyles } from './useStyles';

interface Place {
  path: '/' | '/round' | '/residents' | '/homes' | '/seasons' | '/store' | '/handbook' | '/settings';
  title: string;
  icon: IconName;
}

const PLACES: Record<'phone' | 'wide', readonly Place[]> = {
  phone: [
    { path: '/', title: 'Round', icon: 'Route' },
    { path: '/residents', title: 'Residents', icon: 'Bug' },
    { path: '/homes', title: 'Wall', icon: 'Wall' },
    { path: '/seasons', title: 'Seasons', icon: 'Seasons' },
    { path: '/store', title: 'Store', icon: 'Store' },
    { path: '/settings', title: 'More', icon: 'Settings' },
  ],
  wide: [
    { path: '/homes', title: 'Wall', icon: 'Wall' },
    { path: '/round', title: 'Round', icon: 'Route' },
    { path: '/residents', title: 'Residents', icon: 'Bug' },
    { path: '/seasons', title: 'Seasons', icon: 'Seasons' },
    { path: '/store', title: 'Store', icon: 'Store' },
    { path: '/handbook', title: 'Handbook', icon: 'Handbook' },
    { path: '/settings', title: 'More', icon: 'Settings' },
  ],
};

/** Which place an address belongs to. A wide screen begins with its wall, a phone with its round. */
const placeOf = (here: string, isWide: boolean): string => {
  if (here === '/') return isWide ? '/homes' : '/';
  if (here === '/round') return isWide ? '/round' : '/';
  if (!isWide && here.startsWith('/handbook')) return '/settings';
  return isBehindMore(here) ? '/settings' : here;
};

/** Behind the last door: what is not met on the daily walk. */
const isBehindMore = (here: string) => ['/keepers', '/profiles', '/probes'].some((path) => here.startsWith(path));

/** The places of the program: along the bottom of a phone, down the side of a wide screen. */
export function NavBar() {
  const isWide = useIsWide();
  const styles = useStyles({ isWide });
  const here = usePathname();
  const at = placeOf(here, isWide);
  // Whoever looks in sees the sheet, and nothing else of the house.
  if (here.startsWith('/sitter/')) return null;
  return (
    <View role="navigation" aria-label="Places" style={styles.bar}>
      {PLACES[isWide ? 'wide' : 'phone'].map(({ path, title, icon }) => {
        const isHere = path === '/' ? at === '/' : at.startsWith(path);
        return (
          <Link key={path} href={path} asChild>
            <Pressable
              role="link"
              aria-current={isHere ? 'page' : undefined}
              style={styles.place}
              // The walk goes on where it was; a list is looked through from its top. (The link takes the press itself.)
              onPressIn={() => (path === '/' || path === '/round' ? undefined : beginAnew(path))}
            >
              <View style={[styles.edge, isHere && styles.edgeHere]} />
              <Icon name={icon} color={isHere ? styles.here.color : styles.title.color} />
              <Text style={[styles.title, isHere && styles.here]}>{title}</Text>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
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
  title: { fontSize: type.small, color: theme.colors.barInkSoft },
  here: { fontFamily: fonts.bold, color: theme.colors.barInk },
}));
