import { useLocalSearchParams } from 'expo-router';
import { PersonScreen } from '@/ui/screens/lazyForms';

export default function PersonRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PersonScreen id={id} />;
}
