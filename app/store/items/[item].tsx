import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { ItemScreen, StoreScreen } from '@/ui/screens/lazyForms';

export default function ItemRoute() {
  const { item } = useLocalSearchParams<{ item: string }>();
  return (
    <Suspense>
      <TwoPanes list={<StoreScreen chosenItem={item} />} detail={<ItemScreen key={item} item={item} />} />
    </Suspense>
  );
}
