import { dangersOfResident } from '../dangers';
import { alert, type PaperPart } from './parts';

/** What one can do to a hand, in a row; nothing of one that can do nothing. */
export function cautionLine(resident: Parameters<typeof dangersOfResident>[0]): PaperPart[] {
  const titles = dangersOfResident(resident).hazards.map(({ title }) => title);
  return titles.length === 0 ? [] : [alert(`Caution: ${titles.join(', ')}`)];
}
