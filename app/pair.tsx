import { PairScreen } from '@/ui/screens/lazyForms';

export default function PairRoute() {
  return <PairScreen />;
}
