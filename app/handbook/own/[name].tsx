import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HandbookScreen, OwnCardScreen } from '@/ui/screens/lazyForms';

export default function OwnCardRoute() {
  const { name } = useLocalSearchParams<{ name: string }>();
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen chosen={name} />} detail={<OwnCardScreen name={name} />} />
    </Suspense>
  );
}
