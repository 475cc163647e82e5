import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { StoreScreen } from '@/ui/screens/lazyForms';

export default function StoreLayout() {
  const { id, item, part } = useGlobalSearchParams<{ id?: string; item?: string; part?: string }>();
  const asked = id !== undefined || part === 'boxes' ? 'boxes' : item === undefined ? undefined : 'food';
  return <ListLayout list={<StoreScreen key={asked} asked={asked} chosenMaterial={id} chosenItem={item} />} />;
}
