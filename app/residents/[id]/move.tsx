import { useLocalSearchParams } from 'expo-router';
import { MoveScreen } from '@/ui/screens/lazyForms';

export default function MoveRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <MoveScreen id={id} />;
}
