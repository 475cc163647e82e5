import { useLocalSearchParams } from 'expo-router';
import { ScanScreen } from '@/ui/screens/lazyForms';

/** Where the code on a box leads. */
export default function BoxCodeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ScanScreen key={id} scanned={id} />;
}
