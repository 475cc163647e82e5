import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';

export default function HomesLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return <ListLayout list={<HomesScreen chosenId={id} />} />;
}
