import Skeleton from '@rneui/themed/dist/Skeleton';
import { View } from 'react-native';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { Failed } from './Failed';

interface Props {
  /** What it waits for. */
  children: string;
  /** What went wrong instead. */
  problem?: string | null | undefined;
  /** Asks once more after that. */
  again?: (() => void) | undefined;
}

/** Stands where an answer will stand, until it is there. */
export function Waiting({ children, problem, again }: Props) {
  if (problem !== undefined && problem !== null) return <Failed {...{ problem, again }} />;
  return (
    <View role="status" style={{ gap: space.m, paddingVertical: space.m }}>
      <Soft>{children}</Soft>
      {WIDTHS.map((width) => (
        // Still: the library's pulse goes on when it has long left the page.
        <Skeleton key={width} animation="none" width={width} height={BAR_PX} aria-hidden accessibilityLabel="" />
      ))}
    </View>
  );
}

const WIDTHS = ['92%', '100%', '64%'] as const;
const BAR_PX = 18;
