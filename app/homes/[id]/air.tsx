import { useLocalSearchParams } from 'expo-router';
import { AirScreen } from '@/ui/screens/lazyForms';

export default function AirRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <AirScreen id={id} />;
}
