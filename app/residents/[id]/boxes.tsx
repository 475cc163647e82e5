import { useLocalSearchParams } from 'expo-router';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { BoxesScreen } from '@/ui/screens/BoxesScreen';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function BoxesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TwoPanes list={<ResidentsScreen chosenId={id} />} detail={<BoxesScreen residentId={id} />} />;
}
