import { Slot } from 'expo-router';
import { Suspense, type ReactNode } from 'react';
import { View } from 'react-native';
import { measure } from '../theme/tokens';
import { useIsWide } from './useLayout';
import { makeStyles } from './useStyles';

interface Props {
  list: ReactNode;
  /** What was chosen from the list; a phone shows it in the list's place. */
  detail?: ReactNode;
  /** Shown beside the list only: on a phone the list stays. */
  detailOnWide?: ReactNode;
}

/** On a wide screen a list and beside it what was chosen from it; on a phone one of the two. */
export function TwoPanes({ list, detail, detailOnWide }: Props) {
  const styles = useStyles();
  const isWide = useIsWide();
  if (!isWide) return <>{detail ?? list}</>;
  return (
    <View style={styles.panes}>
      <View style={styles.list}>{list}</View>
      <View style={styles.detail}>{detail ?? detailOnWide}</View>
    </View>
  );
}

/** What the routes of a list share: on a wide screen the list stays as it is while one after another is chosen from it. */
export function ListLayout({ list }: { list: ReactNode }) {
  const detail = (
    <Suspense>
      <Slot />
    </Suspense>
  );
  return <TwoPanes list={<Suspense>{list}</Suspense>} detail={detail} />;
}

/** The route of the list itself: on a wide screen it stands beside already, and while nothing is chosen from it something else is beside it. */
export function ListRoute({ list, beside }: { list: ReactNode; beside: ReactNode }) {
  return useIsWide() ? beside : list;
}

const useStyles = makeStyles((theme) => ({
  panes: { flex: 1, flexDirection: 'row' },
  list: { width: measure.list, borderRightWidth: 1, borderRightColor: theme.colors.line },
  detail: { flex: 1, backgroundColor: theme.colors.ground },
}));
