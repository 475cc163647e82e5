import { useLocalSearchParams } from 'expo-router';
import { RoomScreen } from '@/ui/screens/lazyForms';

export default function RoomRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RoomScreen id={id} />;
}
