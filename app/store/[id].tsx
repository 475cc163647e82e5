import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { MaterialScreen, StoreScreen } from '@/ui/screens/lazyForms';

export default function MaterialRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense>
      <TwoPanes list={<StoreScreen chosenMaterial={id} />} detail={<MaterialScreen id={id} />} />
    </Suspense>
  );
}
