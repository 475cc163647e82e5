import type { ReactElement, ReactNode } from 'react';
import { FlatList, View } from 'react-native';
import { measure, space } from '../theme/tokens';
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
        style={styles.list}
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

const useStyles = makeStyles((theme) => {
  const column = { width: '100%', maxWidth: measure.column + 2 * space.l, alignSelf: 'center' } as const;
  return {
    pane: { flex: 1, backgroundColor: theme.colors.ground },
    list: { flex: 1 },
    content: { padding: space.l, paddingBottom: space.xl, ...column },
    actions: {
      flexDirection: 'row',
      gap: space.s,
      padding: space.m,
      paddingHorizontal: space.l,
      borderTopWidth: 1,
      borderTopColor: theme.colors.line,
      backgroundColor: theme.colors.ground,
      ...column,
    },
  };
});
