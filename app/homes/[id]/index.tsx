import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';
import { HomeScreen } from '@/ui/screens/lazyForms';

export default function HomeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const detail = (
    <Suspense>
      <HomeScreen id={id} />
    </Suspense>
  );
  return <TwoPanes list={<HomesScreen chosenId={id} />} detail={detail} />;
}
