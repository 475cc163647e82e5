import { circle, stroke } from '../theme/tokens';
import { Icon, type IconName } from './Icon';
import { Tappable } from './Tappable';
import { makeStyles } from './useStyles';

interface Props {
  /** What a tap writes down, for those who hear the screen. */
  label: string;
  done: boolean;
  pressing?: boolean;
  /** What stands in the circle while it is not done. */
  mark?: IconName;
  onPress: () => void;
}

/** One tap: done. Another: taken back. Big enough for a wet thumb. */
export function TickCircle({ label, done, pressing = false, mark, onPress }: Props) {
  const styles = useStyles({ done, pressing });
  return (
    <Tappable
      role="checkbox"
      aria-checked={done}
      aria-label={label}
      onPress={onPress}
      hitSlop={6}
      style={({ pressed }) => [styles.circle, pressed && styles.pressed]}
    >
      {done ? <Icon name="Check" size={26} color={styles.tick.color} /> : mark ? <Icon name={mark} size={26} /> : null}
    </Tappable>
  );
}

const useStyles = makeStyles((theme, { done, pressing }: { done: boolean; pressing: boolean }) => {
  const edge = pressing && !done ? theme.colors.clay : theme.colors.good;
  return {
    circle: {
      width: circle,
      height: circle,
      borderRadius: circle / 2,
      borderWidth: stroke.mark,
      borderColor: edge,
      backgroundColor: done ? theme.colors.good : theme.colors.raised,
      alignItems: 'center',
      justifyContent: 'center',
    },
    pressed: { backgroundColor: theme.colors.resting },
    tick: { color: theme.colors.onGood },
  };
});
