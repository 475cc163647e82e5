import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { MoveScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function MoveRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <Suspense>
        <MoveScreen id={id} />
      </Suspense>
    </ResidentPanes>
  );
}
