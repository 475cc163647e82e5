import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { AddHomeScreen } from '@/ui/screens/lazyForms';
import { HomesScreen } from '@/ui/screens/HomesScreen';

export default function AddHomeRoute() {
  return (
    <TwoPanes
      list={<HomesScreen />}
      detail={
        <Suspense>
          <AddHomeScreen />
        </Suspense>
      }
    />
  );
}
