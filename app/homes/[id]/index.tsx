import { useLocalSearchParams } from 'expo-router';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomeScreen } from '@/ui/screens/HomeScreen';
import { HomesScreen } from '@/ui/screens/HomesScreen';

export default function HomeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TwoPanes list={<HomesScreen chosenId={id} />} detail={<HomeScreen id={id} />} />;
}
