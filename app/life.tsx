import { LifeScreen } from '@/ui/screens/lazyForms';

export default function LifeRoute() {
  return <LifeScreen />;
}
