import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomeScreen, HousePane } from '@/ui/screens/lazyForms';
import { RoundScreen } from '@/ui/screens/RoundScreen';

export default function RoundRoute() {
  const { home } = useLocalSearchParams<{ home?: string }>();
  const beside = <Suspense>{home ? <HomeScreen id={home} /> : <HousePane />}</Suspense>;
  return <TwoPanes list={<RoundScreen chosenHomeId={home} />} detailOnWide={beside} />;
}
