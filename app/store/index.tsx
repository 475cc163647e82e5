import { useLocalSearchParams } from 'expo-router';
import { ListRoute } from '@/ui/components/TwoPanes';
import { OrdersScreen, StoreScreen } from '@/ui/screens/lazyForms';

export default function StoreRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const asked = part === 'boxes' ? 'boxes' : undefined;
  return <ListRoute list={<StoreScreen key={asked} asked={asked} />} beside={<OrdersScreen />} />;
}
