import type { ViewStyle } from 'react-native';
import { type Palette, measure, space } from '../theme/tokens';

const column: ViewStyle = { width: '100%', maxWidth: measure.column + 2 * space.l, alignSelf: 'center' };

/** One pane: what scrolls in a column, and below it the actions that stay under the thumb. */
export const paneStyles = ({ ground, line }: Pick<Palette, 'ground' | 'line'>) => ({
  pane: { flex: 1, backgroundColor: ground } satisfies ViewStyle,
  scroll: { flex: 1 } satisfies ViewStyle,
  content: { padding: space.l, paddingBottom: space.xl, ...column } satisfies ViewStyle,
  whole: { maxWidth: '100%' } satisfies ViewStyle,
  actions: {
    flexDirection: 'row',
    gap: space.s,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: 1,
    borderTopColor: line,
    backgroundColor: ground,
    ...column,
  } satisfies ViewStyle,
});
