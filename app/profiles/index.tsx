import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { ProfilesScreen } from '@/ui/screens/lazyForms';

export default function ProfilesRoute() {
  return (
    <Suspense>
      <TwoPanes list={<ProfilesScreen />} />
    </Suspense>
  );
}
