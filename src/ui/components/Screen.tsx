import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { paneStyles } from './paneStyles';
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

const useStyles = makeStyles((theme) => paneStyles(theme.colors));
