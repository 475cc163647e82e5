import { useLocalSearchParams } from 'expo-router';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';
import { ResidentScreen } from '@/ui/screens/ResidentScreen';

export default function ResidentRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <ResidentScreen id={id} />
    </ResidentPanes>
  );
}
