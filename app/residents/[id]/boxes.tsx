import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { BoxesScreen } from '@/ui/screens/lazyForms';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function BoxesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<ResidentsScreen chosenId={id} />}
      detail={
        <Suspense>
          <BoxesScreen residentId={id} />
        </Suspense>
      }
    />
  );
}
