import { ListRoute } from '@/ui/components/TwoPanes';
import { ProfilesScreen } from '@/ui/screens/lazyForms';

export default function ProfilesRoute() {
  return <ListRoute list={<ProfilesScreen />} />;
}
