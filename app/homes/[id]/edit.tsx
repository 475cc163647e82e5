import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { HomesScreen } from '@/ui/screens/HomesScreen';
import { EditHomeScreen } from '@/ui/screens/lazyForms';

export default function EditHomeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TwoPanes
      list={<HomesScreen chosenId={id} />}
      detail={
        <Suspense>
          <EditHomeScreen id={id} />
        </Suspense>
      }
    />
  );
}
