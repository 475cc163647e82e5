import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { EmergencyScreen, SettingsScreen } from '@/ui/screens/lazyForms';

export default function SettingsRoute() {
  return (
    <Suspense>
      <TwoPanes list={<SettingsScreen />} detailOnWide={<EmergencyScreen />} />
    </Suspense>
  );
}
