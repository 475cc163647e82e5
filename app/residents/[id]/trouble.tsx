import { useLocalSearchParams } from 'expo-router';
import { TroubleScreen } from '@/ui/screens/lazyForms';

export default function TroubleRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TroubleScreen residentId={id} />;
}
