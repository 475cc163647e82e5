import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HandbookScreen, EmergencyScreen } from '@/ui/screens/lazyForms';

export default function EmergencyRoute() {
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen />} detail={<EmergencyScreen />} />
    </Suspense>
  );
}
