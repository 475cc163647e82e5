import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '@/ui/screens/lazyForms';

export default function CompareRoute() {
  const { id, with: withId } = useLocalSearchParams<{ id: string; with?: string }>();
  return <CompareScreen residentId={id} withId={withId} />;
}
