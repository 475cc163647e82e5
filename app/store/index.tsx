import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { StoreScreen } from '@/ui/screens/lazyForms';

export default function StoreRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const first = part === 'boxes' ? 'boxes' : 'food';
  return (
    <Suspense>
      <TwoPanes list={<StoreScreen key={first} first={first} />} />
    </Suspense>
  );
}
