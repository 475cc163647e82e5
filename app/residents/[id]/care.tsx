import { useLocalSearchParams } from 'expo-router';
import { KeptAsScreen } from '@/ui/screens/lazyForms';

export default function KeptAsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <KeptAsScreen residentId={id} />;
}
