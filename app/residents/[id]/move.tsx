import { useLocalSearchParams } from 'expo-router';
import { MoveScreen } from '@/ui/screens/lazyForms';

export default function MoveRoute() {
  const { id, to } = useLocalSearchParams<{ id: string; to?: string }>();
  return <MoveScreen id={id} to={to} />;
}
