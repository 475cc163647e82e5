import { ScrollView, View } from 'react-native';
import type { Home, Shelf } from '@/contract/records';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { ShelfWeight } from './ShelfWeight';

interface Props {
  shelf: Shelf;
  homes: readonly Home[];
  children: React.ReactNode;
}

/** A shelf with its boxes standing on it; one longer than the wall slides along. */
export function ShelfBoard({ shelf, homes, children }: Props) {
  const styles = useStyles();
  return (
    <View role="group" aria-label={shelf.name}>
      <ScrollView horizontal contentContainerStyle={styles.boxes} showsHorizontalScrollIndicator={false}>
        {children}
      </ScrollView>
      <View style={styles.board} />
      <View style={styles.edge}>
        <Strong>{shelf.name}</Strong>
        {homes.length === 0 ? <Soft>no boxes</Soft> : <ShelfWeight shelf={shelf} homes={homes} />}
      </View>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  boxes: { alignItems: 'flex-end', gap: space.s, paddingHorizontal: space.l, paddingTop: space.m, minWidth: '100%' },
  board: { height: 5, backgroundColor: theme.colors.soilDry },
  edge: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: space.m,
    alignItems: 'baseline',
    paddingHorizontal: space.l,
    paddingTop: space.xs,
    paddingBottom: space.s,
  },
}));
