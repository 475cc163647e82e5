import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { StillScreen } from '@/ui/screens/lazyForms';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function StillRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<ResidentsScreen chosenId={id} />}
      detail={
        <Suspense>
          <StillScreen residentId={id} />
        </Suspense>
      }
    />
  );
}
