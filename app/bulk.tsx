import { Suspense } from 'react';
import { BulkScreen } from '@/ui/screens/lazyForms';

export default function BulkRoute() {
  return (
    <Suspense>
      <BulkScreen />
    </Suspense>
  );
}
