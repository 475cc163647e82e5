import { ListRoute } from '@/ui/components/TwoPanes';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function ResidentsRoute() {
  return <ListRoute list={<ResidentsScreen />} />;
}
