import type { ReactElement, ReactNode } from 'react';
import { FlatList, View } from 'react-native';
import { paneStyles } from './paneStyles';
import { rowsToPlace } from './places';
import { useScroller } from './useScroller';
import { makeStyles } from './useStyles';

interface Props<Item> {
  items: readonly Item[];
  keyOf: (item: Item) => string;
  row: (item: Item) => ReactElement;
  /** What stands over the list and scrolls with it. */
  header: ReactElement;
  /** What follows the last row. */
  footer?: ReactElement | null;
  actions?: ReactNode;
  /** Where it is found again as it was left, as `/residents`. */
  place: string;
}

/** As many as fill a phone. */
const FIRST_ROWS = 9;

/** One pane with a long list: only what is near the window is in the page. */
export function ListScreen<Item>({ items, keyOf, row, header, footer, actions, place }: Props<Item>) {
  const styles = useStyles();
  const scroll = useScroller<FlatList<Item>>(place);
  return (
    <View style={styles.pane} role="main">
      <FlatList
        ref={scroll}
        style={styles.scroll}
        contentContainerStyle={styles.content}
        data={items}
        keyExtractor={keyOf}
        renderItem={({ item }) => row(item)}
        ListHeaderComponent={header}
        ListFooterComponent={footer}
        initialNumToRender={rowsToPlace(place, FIRST_ROWS)}
        maxToRenderPerBatch={8}
        windowSize={7}
        keyboardShouldPersistTaps="handled"
      />
      {actions ? <View style={styles.actions}>{actions}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => paneStyles(theme.colors));
