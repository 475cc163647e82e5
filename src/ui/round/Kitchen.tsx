import type { Stop } from '@/contract/round';
import { cutAtOnce } from '@/words/kitchen';
import { useNames } from '@/words/useNames';
import { Soft } from '../components/Words';

/** What is cut once for several boxes of a part of the walk. */
export function Kitchen({ stops }: { stops: readonly Stop[] }) {
  const words = cutAtOnce(stops, useNames());
  return words === null ? null : <Soft>{words}</Soft>;
}
