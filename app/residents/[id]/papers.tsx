import { useLocalSearchParams } from 'expo-router';
import { PapersScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function PapersRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <PapersScreen residentId={id} />
    </ResidentPanes>
  );
}
