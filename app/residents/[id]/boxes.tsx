import { useLocalSearchParams } from 'expo-router';
import { BoxesScreen } from '@/ui/screens/lazyForms';

export default function BoxesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BoxesScreen residentId={id} />;
}
