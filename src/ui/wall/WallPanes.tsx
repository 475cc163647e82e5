import { Suspense, type ReactNode } from 'react';
import { View } from 'react-native';
import { makeStyles } from '../components/useStyles';
import { measure } from '../theme/tokens';
import { WallScreen } from './WallScreen';

/** On a wide screen the wall, and beside it the box that was chosen, or how the room stands. */
export function WallPanes({ chosenId, children }: { chosenId?: string | undefined; children: ReactNode }) {
  const styles = useStyles();
  return (
    <View style={styles.panes}>
      <View style={styles.wall}>
        <WallScreen chosenId={chosenId} />
      </View>
      <View style={styles.pane}>
        <Suspense>{children}</Suspense>
      </View>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  panes: { flex: 1, flexDirection: 'row' },
  wall: { flex: 1 },
  pane: { width: measure.list, borderLeftWidth: 1, borderLeftColor: theme.colors.line },
}));
