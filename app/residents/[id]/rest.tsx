import { useLocalSearchParams } from 'expo-router';
import { RestScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function RestRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <RestScreen residentId={id} />
    </ResidentPanes>
  );
}
