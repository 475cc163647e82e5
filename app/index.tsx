import { Suspense } from 'react';
import { useIsWide } from '@/ui/components/useLayout';
import { HousePane, WallPanes } from '@/ui/screens/lazyForms';
import RoundRoute from './round';

/** Where one begins: on a phone with the walk, on a wide screen with the wall. */
export default function FirstRoute() {
  if (!useIsWide()) return <RoundRoute />;
  return (
    <Suspense>
      <WallPanes>
        <HousePane />
      </WallPanes>
    </Suspense>
  );
}
