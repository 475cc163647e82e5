import { LabelsScreen } from '@/ui/screens/lazyForms';

export default function LabelsRoute() {
  return <LabelsScreen />;
}
