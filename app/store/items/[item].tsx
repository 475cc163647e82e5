import { useLocalSearchParams } from 'expo-router';
import { ItemScreen } from '@/ui/screens/lazyForms';

export default function ItemRoute() {
  const { item } = useLocalSearchParams<{ item: string }>();
  return <ItemScreen key={item} item={item} />;
}
