import { useLocalSearchParams } from 'expo-router';
import { KeeperScreen } from '@/ui/screens/lazyForms';

export default function KeeperRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <KeeperScreen id={id} />;
}
