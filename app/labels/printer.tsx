import { PrinterScreen } from '@/ui/screens/lazyForms';

export default function PrinterRoute() {
  return <PrinterScreen />;
}
