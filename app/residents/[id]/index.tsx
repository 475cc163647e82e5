import { useLocalSearchParams } from 'expo-router';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { ResidentScreen } from '@/ui/screens/ResidentScreen';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function ResidentRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TwoPanes list={<ResidentsScreen chosenId={id} />} detail={<ResidentScreen id={id} />} />;
}
