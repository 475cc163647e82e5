import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function CompareRoute() {
  const { id, with: withId } = useLocalSearchParams<{ id: string; with?: string }>();
  return (
    <ResidentPanes id={id}>
      <CompareScreen residentId={id} withId={withId} />
    </ResidentPanes>
  );
}
