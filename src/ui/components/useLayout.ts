import { useWindowDimensions } from 'react-native';
import { wide } from '../theme/tokens';

/** Whether there is room for a rail and two panes. */
export function useIsWide(): boolean {
  return useWindowDimensions().width >= wide;
}
