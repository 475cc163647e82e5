import { useLocalSearchParams } from 'expo-router';
import { RestScreen } from '@/ui/screens/lazyForms';

export default function RestRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RestScreen residentId={id} />;
}
