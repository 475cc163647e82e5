import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { EmergencyScreen } from '@/ui/screens/lazyForms';
import { SettingsScreen } from '@/ui/screens/SettingsScreen';

export default function SettingsRoute() {
  return (
    <Suspense>
      <TwoPanes list={<SettingsScreen />} detailOnWide={<EmergencyScreen />} />
    </Suspense>
  );
}
