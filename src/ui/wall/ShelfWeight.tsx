import { useMemo } from 'react';
import { useHouse } from '@/client/house';
import { useStock } from '@/client/stock';
import { loadOf } from '@/client/weights';
import type { Home, Shelf } from '@/contract/records';
import { useStatusInk } from '../components/StatusMark';
import { Soft } from '../components/Words';

/** The soil and water in the boxes of a shelf against what it bears. */
export function ShelfWeight({ shelf, homes }: { shelf: Shelf; homes: readonly Home[] }) {
  const { care, residents } = useHouse();
  const { table, mixes } = useStock();
  const load = useMemo(
    () =>
      table && shelf.loadLimitKg !== null ? loadOf(shelf.loadLimitKg, homes, residents, care, table, mixes) : null,
    [table, shelf.loadLimitKg, homes, residents, care, mixes],
  );
  const ink = useStatusInk(load?.status ?? 'pass');
  if (!load) return null;
  const words = `soil and water ${load.massKg.toFixed(0)} of ${load.limitKg} kg`;
  if (load.status === 'pass') return <Soft>{words}</Soft>;
  return <Soft style={{ color: ink }}>{`${words}: ${load.status === 'fail' ? 'too heavy' : 'nearly full'}`}</Soft>;
}
