import { useLocalSearchParams } from 'expo-router';
import { WhoScreen } from '@/ui/screens/lazyForms';

export default function WhoRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WhoScreen residentId={id} />;
}
