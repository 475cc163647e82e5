import { Suspense, type ReactNode } from 'react';
import { TwoPanes } from '../components/TwoPanes';
import { ResidentsScreen } from './ResidentsScreen';

/** Something about one resident, beside the list of all on a wide screen. */
export function ResidentPanes({ id, children }: { id: string; children: ReactNode }) {
  return <TwoPanes list={<ResidentsScreen chosenId={id} />} detail={<Suspense>{children}</Suspense>} />;
}
