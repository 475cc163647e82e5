import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { SeasonsScreen } from '@/ui/screens/lazyForms';

export default function SeasonsRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const first = part === 'broods' || part === 'colonies' ? part : 'rest';
  return (
    <Suspense>
      <TwoPanes list={<SeasonsScreen key={first} first={first} />} />
    </Suspense>
  );
}
