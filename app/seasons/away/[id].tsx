import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { AwayScreen, SeasonsScreen } from '@/ui/screens/lazyForms';

export default function AwayRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense>
      <TwoPanes list={<SeasonsScreen first="away" />} detail={<AwayScreen id={id} />} />
    </Suspense>
  );
}
