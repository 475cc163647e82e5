import { useLocalSearchParams } from 'expo-router';
import { TroubleScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function TroubleRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <TroubleScreen residentId={id} />
    </ResidentPanes>
  );
}
