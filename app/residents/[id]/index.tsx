import { useLocalSearchParams } from 'expo-router';
import { ResidentScreen } from '@/ui/screens/lazyForms';

export default function ResidentRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ResidentScreen id={id} />;
}
