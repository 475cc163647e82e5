import { ListItemBase } from '@rneui/base/dist/ListItem/ListItem';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Leading } from '../components/Leading';
import { makeStyles, useTheme } from '../components/useStyles';
import { space, stroke, target } from '../theme/tokens';

interface Props {
  label: string;
  onPress: () => void;
  isChosen?: boolean;
  left?: ReactNode;
  right?: ReactNode;
  children: ReactNode;
}

/** One line of a list that leads somewhere. */
export function ListRow({ label, onPress, isChosen = false, left, right, children }: Props) {
  const styles = useStyles();
  const { theme } = useTheme();
  return (
    <ListItemBase
      {...{ theme, 'aria-label': label, 'aria-current': isChosen ? 'true' : undefined }}
      // A link, which the library's own row is not.
      Component={Leading as never}
      onPress={onPress}
      pad={space.m}
      style={(({ pressed }: { pressed: boolean }) => [styles.row, (pressed || isChosen) && styles.chosen]) as never}
      containerStyle={styles.line}
    >
      {left}
      <View style={styles.middle}>{children}</View>
      {right}
    </ListItemBase>
  );
}

const useStyles = makeStyles((theme) => ({
  row: { marginHorizontal: -space.l, borderBottomWidth: stroke.thin, borderBottomColor: theme.colors.line },
  chosen: { backgroundColor: theme.colors.resting },
  line: {
    minHeight: target,
    padding: 0,
    paddingVertical: space.m,
    paddingHorizontal: space.l,
    backgroundColor: 'transparent',
  },
  middle: { flex: 1, gap: space.hair },
}));
