import { useLocalSearchParams } from 'expo-router';
import { HomeScreen } from '@/ui/screens/lazyForms';

export default function HomeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <HomeScreen id={id} />;
}
