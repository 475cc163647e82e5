import { ScoresScreen } from '@/ui/screens/lazyForms';

export default function ScoresRoute() {
  return <ScoresScreen />;
}
