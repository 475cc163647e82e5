import { ScanScreen } from '@/ui/screens/lazyForms';

export default function ScanRoute() {
  return <ScanScreen />;
}
