import { useLocalSearchParams } from 'expo-router';
import { OwnCardScreen } from '@/ui/screens/lazyForms';

export default function OwnCardRoute() {
  const { name } = useLocalSearchParams<{ name: string }>();
  return <OwnCardScreen name={name} />;
}
