import { useLocalSearchParams } from 'expo-router';
import { CardScreen } from '@/ui/screens/lazyForms';

export default function CardRoute() {
  const { name } = useLocalSearchParams<{ name: string }>();
  return <CardScreen name={name} />;
}
