import { useLocalSearchParams } from 'expo-router';
import { FeedingScreen } from '@/ui/screens/lazyForms';

export default function FeedingRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FeedingScreen residentId={id} />;
}
