import type { ReactNode } from 'react';
import { View } from 'react-native';
import { space, target } from '../theme/tokens';
import { Leading } from './Leading';
import { makeStyles } from './useStyles';

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
  return (
    <Leading
      aria-label={label}
      aria-current={isChosen ? 'true' : undefined}
      onPress={onPress}
      style={({ pressed }) => [styles.row, (pressed || isChosen) && styles.chosen]}
    >
      {left}
      <View style={styles.middle}>{children}</View>
      {right}
    </Leading>
  );
}

const useStyles = makeStyles((theme) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: target,
    paddingVertical: space.m,
    marginHorizontal: -space.l,
    paddingHorizontal: space.l,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
  chosen: { backgroundColor: theme.colors.resting },
  middle: { flex: 1, gap: space.hair },
}));
