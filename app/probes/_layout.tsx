import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { ProbesScreen } from '@/ui/screens/lazyForms';

export default function ProbesLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return <ListLayout list={<ProbesScreen chosenId={id} />} />;
}
