import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { CardScreen, HandbookScreen } from '@/ui/screens/lazyForms';

export default function CardRoute() {
  const { name } = useLocalSearchParams<{ name: string }>();
  return (
    <Suspense>
      <TwoPanes list={<HandbookScreen chosen={name} />} detail={<CardScreen name={name} />} />
    </Suspense>
  );
}
