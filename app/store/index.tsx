import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { StoreScreen } from '@/ui/screens/lazyForms';

export default function StoreRoute() {
  return (
    <Suspense>
      <TwoPanes list={<StoreScreen />} />
    </Suspense>
  );
}
