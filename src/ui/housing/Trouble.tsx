import { useHouse } from '@/client/house';
import type { StateOfHome } from '@/core/house/homeState';
import { useStatusInk } from '../components/StatusMark';
import { Soft } from '../components/Words';
import { worstWords } from '@/words/homeState';
import { useTemperature } from '@/words/temperature';

/** In a list: the worst of what speaks against a home, in the ink of its verdict; nothing where all is well. */
export function Trouble({ state }: { state: StateOfHome | undefined }) {
  const ink = useStatusInk(state?.verdict ?? 'pass');
  const temperature = useTemperature();
  const today = useHouse((house) => house.round?.on ?? '');
  const words = state ? worstWords(state, today, temperature) : null;
  return words === null ? null : <Soft style={{ color: ink }}>{words}</Soft>;
}
