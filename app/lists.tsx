import { useLocalSearchParams } from 'expo-router';
import { ListsScreen } from '@/ui/screens/lazyForms';

export default function ListsRoute() {
  return <ListsScreen kind={useLocalSearchParams<{ kind?: string }>().kind} />;
}
