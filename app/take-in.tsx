import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TakeInScreen } from '@/ui/screens/lazyForms';

export default function TakeInRoute() {
  const { home } = useLocalSearchParams<{ home?: string }>();
  return (
    <Suspense>
      <TakeInScreen homeId={home} />
    </Suspense>
  );
}
