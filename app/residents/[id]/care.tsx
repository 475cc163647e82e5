import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { KeptAsScreen } from '@/ui/screens/lazyForms';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function KeptAsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<ResidentsScreen chosenId={id} />}
      detail={
        <Suspense>
          <KeptAsScreen residentId={id} />
        </Suspense>
      }
    />
  );
}
