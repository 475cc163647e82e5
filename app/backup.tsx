import { BackupScreen } from '@/ui/screens/lazyForms';

export default function BackupRoute() {
  return <BackupScreen />;
}
