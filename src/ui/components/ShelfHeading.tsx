import { View } from 'react-native';
import { space, stroke } from '../theme/tokens';
import { makeStyles } from './useStyles';
import { Heading, Soft } from './Words';

/** Where on the walk what follows stands. */
export function ShelfHeading({ name, note }: { name: string; note: string }) {
  const styles = useStyles();
  return (
    <View style={styles.row}>
      <Heading style={styles.name}>{name}</Heading>
      <Soft>{note}</Soft>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  row: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    marginTop: space.l,
    paddingBottom: space.s,
    borderBottomWidth: stroke.line,
    borderBottomColor: theme.colors.ink,
  },
  name: { flexShrink: 1 },
}));
