import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { measure, space } from '../theme/tokens';
import { makeStyles } from './useStyles';

/** One pane: what scrolls, and below it the actions that stay under the thumb. */
export function Screen({ children, actions }: { children: ReactNode; actions?: ReactNode }) {
  const styles = useStyles();
  return (
    <View style={styles.pane} role="main">
      <ScrollView style={styles.scroll} contentContainerStyle={styles.content}>
        {children}
      </ScrollView>
      {actions ? <View style={styles.actions}>{actions}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  pane: { flex: 1, backgroundColor: theme.colors.ground },
  scroll: { flex: 1 },
  content: {
    padding: space.l,
    paddingBottom: space.xl,
    width: '100%',
    maxWidth: measure.column + 2 * space.l,
    alignSelf: 'center',
  },
  actions: {
    flexDirection: 'row',
    gap: space.s,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: 1,
    borderTopColor: theme.colors.line,
    backgroundColor: theme.colors.ground,
    width: '100%',
    maxWidth: measure.column + 2 * space.l,
    alignSelf: 'center',
  },
}));
