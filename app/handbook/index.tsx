import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HandbookScreen } from '@/ui/screens/lazyForms';

export default function HandbookRoute() {
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen />} />
    </Suspense>
  );
}
