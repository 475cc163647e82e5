import type { FitAnswer } from '@/core/housing/fit';
import { useStatusInk } from '../components/StatusMark';
import { Soft } from '../components/Words';
import { troubleWords } from '../words/checks';

/** In a list: what is wrong with a home, in the ink of its verdict; nothing where all is well. */
export function Trouble({ fit }: { fit: FitAnswer }) {
  const ink = useStatusInk(fit.verdict);
  const words = troubleWords(fit);
  return words === null ? null : <Soft style={{ color: ink }}>{words}</Soft>;
}
