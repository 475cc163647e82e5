import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { SitterScreen } from '@/ui/screens/lazyForms';

export default function SitterRoute() {
  const { secret } = useLocalSearchParams<{ secret: string }>();
  return (
    <Suspense>
      <SitterScreen secret={secret} />
    </Suspense>
  );
}
