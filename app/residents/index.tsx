import { ListRoute } from '@/ui/components/TwoPanes';
import { HousePane, ResidentsScreen } from '@/ui/screens/lazyForms';

export default function ResidentsRoute() {
  return <ListRoute list={<ResidentsScreen />} beside={<HousePane />} />;
}
