import { useLocalSearchParams } from 'expo-router';
import { ReadingsScreen } from '@/ui/screens/lazyForms';

export default function ReadingsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReadingsScreen id={id} />;
}
