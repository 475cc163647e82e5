import { useLocalSearchParams } from 'expo-router';
import { PapersScreen } from '@/ui/screens/lazyForms';

export default function PapersRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PapersScreen residentId={id} />;
}
