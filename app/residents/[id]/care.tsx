import { useLocalSearchParams } from 'expo-router';
import { KeptAsScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function KeptAsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <KeptAsScreen residentId={id} />
    </ResidentPanes>
  );
}
