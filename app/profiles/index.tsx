import { ListRoute } from '@/ui/components/TwoPanes';
import { ProfileScreen, ProfilesScreen } from '@/ui/screens/lazyForms';

export default function ProfilesRoute() {
  return <ListRoute list={<ProfilesScreen />} beside={<ProfileScreen />} />;
}
