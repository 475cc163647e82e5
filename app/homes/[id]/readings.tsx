import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';
import { ReadingsScreen } from '@/ui/screens/lazyForms';

export default function ReadingsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<HomesScreen chosenId={id} />}
      detail={
        <Suspense>
          <ReadingsScreen id={id} />
        </Suspense>
      }
    />
  );
}
