import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { ResidentsScreen } from '@/ui/screens/lazyForms';

export default function ResidentsLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return <ListLayout list={<ResidentsScreen chosenId={id} />} />;
}
