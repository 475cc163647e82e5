import { ListRoute } from '@/ui/components/TwoPanes';
import { HousePane } from '@/ui/screens/lazyForms';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function ResidentsRoute() {
  return <ListRoute list={<ResidentsScreen />} beside={<HousePane />} />;
}
