import { useLocalSearchParams } from 'expo-router';
import { AwayScreen } from '@/ui/screens/lazyForms';

export default function AwayRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <AwayScreen id={id} />;
}
