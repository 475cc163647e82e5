import { useLocalSearchParams } from 'expo-router';
import { ProfileScreen } from '@/ui/screens/lazyForms';

export default function ProfileRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ProfileScreen id={id} />;
}
