import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HandbookScreen, TrainerScreen } from '@/ui/screens/lazyForms';

export default function TrainerRoute() {
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen />} detail={<TrainerScreen />} />
    </Suspense>
  );
}
