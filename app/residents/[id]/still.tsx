import { useLocalSearchParams } from 'expo-router';
import { StillScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function StillRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <StillScreen residentId={id} />
    </ResidentPanes>
  );
}
