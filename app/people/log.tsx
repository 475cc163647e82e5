import { AccessLogScreen } from '@/ui/screens/lazyForms';

export default function AccessLogRoute() {
  return <AccessLogScreen />;
}
