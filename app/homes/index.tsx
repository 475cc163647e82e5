import { ListRoute } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';

export default function HomesRoute() {
  return <ListRoute list={<HomesScreen />} />;
}
