import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { ImportScreen } from '@/ui/screens/lazyForms';

export default function ImportRoute() {
  const { home, room } = useLocalSearchParams<{ home?: string; room?: string }>();
  return (
    <Suspense>
      <ImportScreen homeId={home} roomId={room} />
    </Suspense>
  );
}
