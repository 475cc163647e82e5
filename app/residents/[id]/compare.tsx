import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { CompareScreen } from '@/ui/screens/lazyForms';
import { ResidentsScreen } from '@/ui/screens/ResidentsScreen';

export default function CompareRoute() {
  const { id, with: withId } = useLocalSearchParams<{ id: string; with?: string }>();
  return (
    <TwoPanes
      list={<ResidentsScreen chosenId={id} />}
      detail={
        <Suspense>
          <CompareScreen residentId={id} withId={withId} />
        </Suspense>
      }
    />
  );
}
