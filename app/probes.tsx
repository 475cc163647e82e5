import { Suspense } from 'react';
import { ProbesScreen } from '@/ui/screens/lazyForms';

export default function ProbesRoute() {
  return (
    <Suspense>
      <ProbesScreen />
    </Suspense>
  );
}
