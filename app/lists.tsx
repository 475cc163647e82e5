import { useLocalSearchParams } from 'expo-router';
import { TABLE_KINDS } from '@/core/records/readTable';
import { ListsScreen } from '@/ui/screens/lazyForms';

export default function ListsRoute() {
  const { kind } = useLocalSearchParams<{ kind?: string }>();
  return <ListsScreen first={TABLE_KINDS.find((each) => each === kind)} />;
}
