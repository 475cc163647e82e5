import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { HandbookScreen } from '@/ui/screens/lazyForms';

export default function HandbookLayout() {
  const { name } = useGlobalSearchParams<{ name?: string }>();
  return <ListLayout list={<HandbookScreen chosen={name} />} />;
}
