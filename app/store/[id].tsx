import { useLocalSearchParams } from 'expo-router';
import { MaterialScreen } from '@/ui/screens/lazyForms';

export default function MaterialRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <MaterialScreen id={id} />;
}
