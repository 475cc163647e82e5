import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { BuildScreen } from '@/ui/screens/lazyForms';

export default function BuildRoute() {
  const { homes = '', for: forId } = useLocalSearchParams<{ homes?: string; for?: string }>();
  return (
    <Suspense>
      <BuildScreen homeIds={homes === '' ? [] : homes.split(',')} forId={forId} />
    </Suspense>
  );
}
