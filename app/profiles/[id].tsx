import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { ProfileScreen, ProfilesScreen } from '@/ui/screens/lazyForms';

export default function ProfileRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense>
      <TwoPanes list={<ProfilesScreen chosenId={id} />} detail={<ProfileScreen id={id} />} />
    </Suspense>
  );
}
