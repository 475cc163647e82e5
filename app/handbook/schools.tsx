import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HandbookScreen, SchoolsScreen } from '@/ui/screens/lazyForms';

export default function SchoolsRoute() {
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen />} detail={<SchoolsScreen />} />
    </Suspense>
  );
}
