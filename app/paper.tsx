import { PaperScreen } from '@/ui/screens/lazyForms';

export default function PaperRoute() {
  return <PaperScreen />;
}
