import { ListRoute } from '@/ui/components/TwoPanes';
import { HandbookScreen, TrainerScreen } from '@/ui/screens/lazyForms';

export default function HandbookRoute() {
  return <ListRoute list={<HandbookScreen />} beside={<TrainerScreen />} />;
}
