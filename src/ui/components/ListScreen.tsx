import type { ReactElement, ReactNode } from 'react';
import { FlatList, View } from 'react-native';
import { paneStyles } from './paneStyles';
import { makeStyles } from './useStyles';

interface Props<Item> {
  items: readonly Item[];
  keyOf: (item: Item) => string;
  row: (item: Item) => ReactElement;
  /** What stands over the list and scrolls with it. */
  header: ReactElement;
  actions?: ReactNode;
}

/** One pane with a long list: only what is near the window is in the page. */
export function ListScreen<Item>({ items, keyOf, row, header, actions }: Props<Item>) {
  const styles = useStyles();
  return (
    <View style={styles.pane} role="main">
      <FlatList
        style={styles.scroll}
        contentContainerStyle={styles.content}
        data={items}
        keyExtractor={keyOf}
        renderItem={({ item }) => row(item)}
        ListHeaderComponent={header}
        initialNumToRender={16}
        maxToRenderPerBatch={24}
        windowSize={7}
        keyboardShouldPersistTaps="handled"
      />
      {actions ? <View style={styles.actions}>{actions}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => paneStyles(theme.colors));
