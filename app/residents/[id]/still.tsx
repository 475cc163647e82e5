import { useLocalSearchParams } from 'expo-router';
import { StillScreen } from '@/ui/screens/lazyForms';

export default function StillRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <StillScreen residentId={id} />;
}
