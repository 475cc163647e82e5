import { useLocalSearchParams } from 'expo-router';
import { ResidentScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function ResidentRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <ResidentScreen id={id} />
    </ResidentPanes>
  );
}
