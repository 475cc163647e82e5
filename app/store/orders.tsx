import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { OrdersScreen, StoreScreen } from '@/ui/screens/lazyForms';

export default function OrdersRoute() {
  return (
    <Suspense>
      <TwoPanes list={<StoreScreen />} detail={<OrdersScreen />} />
    </Suspense>
  );
}
