import { useLocalSearchParams } from 'expo-router';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomeScreen } from '@/ui/screens/HomeScreen';
import { RoundScreen } from '@/ui/screens/RoundScreen';

export default function RoundRoute() {
  const { home } = useLocalSearchParams<{ home?: string }>();
  return <TwoPanes list={<RoundScreen chosenHomeId={home} />} detailOnWide={home ? <HomeScreen id={home} /> : null} />;
}
