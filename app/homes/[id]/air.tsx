import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';
import { AirScreen } from '@/ui/screens/lazyForms';

export default function AirRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<HomesScreen chosenId={id} />}
      detail={
        <Suspense>
          <AirScreen id={id} />
        </Suspense>
      }
    />
  );
}
