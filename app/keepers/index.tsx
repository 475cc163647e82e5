import { ListRoute } from '@/ui/components/TwoPanes';
import { KeeperScreen, KeepersScreen } from '@/ui/screens/lazyForms';

export default function KeepersRoute() {
  return <ListRoute list={<KeepersScreen />} beside={<KeeperScreen />} />;
}
