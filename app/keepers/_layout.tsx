import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { KeepersScreen } from '@/ui/screens/lazyForms';

export default function KeepersLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return <ListLayout list={<KeepersScreen chosenId={id} />} />;
}
