import { useGlobalSearchParams } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { ProfilesScreen } from '@/ui/screens/lazyForms';

export default function ProfilesLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return <ListLayout list={<ProfilesScreen chosenId={id} />} />;
}
