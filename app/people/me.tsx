import { OwnAccessScreen } from '@/ui/screens/lazyForms';

export default function OwnAccessRoute() {
  return <OwnAccessScreen />;
}
