import { ListRoute } from '@/ui/components/TwoPanes';
import { OwnAccessScreen, PeopleScreen } from '@/ui/screens/lazyForms';

export default function PeopleRoute() {
  return <ListRoute list={<PeopleScreen />} beside={<OwnAccessScreen />} />;
}
