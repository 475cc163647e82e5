import { useLocalSearchParams } from 'expo-router';
import { EditHomeScreen } from '@/ui/screens/lazyForms';

export default function EditHomeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditHomeScreen id={id} />;
}
