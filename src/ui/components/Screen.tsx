import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { paneStyles } from './paneStyles';
import { useScroller } from './useScroller';
import { makeStyles } from './useStyles';

interface Props {
  children: ReactNode;
  actions?: ReactNode;
  /** Where it is found again as it was left, as `/homes`. */
  place?: string;
  /** As wide as the pane, for what is drawn: words stay in a column. */
  isWhole?: boolean;
}

/** One pane: what scrolls, and below it the actions that stay under the thumb. */
export function Screen({ children, actions, place, isWhole = false }: Props) {
  const styles = useStyles();
  const scroll = useScroller<ScrollView>(place);
  return (
    <View style={styles.pane} role="main">
      <ScrollView ref={scroll} style={styles.scroll} contentContainerStyle={[styles.content, isWhole && styles.whole]}>
        {children}
      </ScrollView>
      {actions ? <View style={styles.actions}>{actions}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => paneStyles(theme.colors));
