import { Slot, useGlobalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { useIsWide } from '@/ui/components/useLayout';
import { WallPanes } from '@/ui/screens/lazyForms';

/** On a wide screen the wall stays as it is while one box after another is chosen from it. */
export default function HomesLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  const chosen = (
    <Suspense>
      <Slot />
    </Suspense>
  );
  if (!useIsWide()) return chosen;
  return (
    <Suspense>
      <WallPanes chosenId={id}>{chosen}</WallPanes>
    </Suspense>
  );
}
