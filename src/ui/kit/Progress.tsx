import LinearProgress from '@rneui/themed/dist/LinearProgress';
import { useTheme } from '../components/useStyles';

/** How far something has come, from 0 to 1; it stands still between two steps. */
export function Progress({ label, share }: { label: string; share: number }) {
  const { good, line } = useTheme().theme.colors;
  return (
    <LinearProgress
      value={share}
      variant="determinate"
      animation={false}
      color={good}
      trackColor={line}
      aria-label={label}
    />
  );
}
