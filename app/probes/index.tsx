import { ListRoute } from '@/ui/components/TwoPanes';
import { RoomScreen, ProbesScreen } from '@/ui/screens/lazyForms';

export default function ProbesRoute() {
  return <ListRoute list={<ProbesScreen />} beside={<RoomScreen />} />;
}
