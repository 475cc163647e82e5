import { useLocalSearchParams } from 'expo-router';
import { BoxesScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function BoxesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <BoxesScreen residentId={id} />
    </ResidentPanes>
  );
}
