import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { KeepersScreen } from '@/ui/screens/lazyForms';
import { SettingsScreen } from '@/ui/screens/SettingsScreen';

export default function KeepersRoute() {
  return (
    <Suspense>
      <TwoPanes list={<SettingsScreen />} detail={<KeepersScreen />} />
    </Suspense>
  );
}
