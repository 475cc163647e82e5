import { useLocalSearchParams } from 'expo-router';
import { FeedingScreen } from '@/ui/screens/lazyForms';
import { ResidentPanes } from '@/ui/screens/ResidentPanes';

export default function FeedingRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ResidentPanes id={id}>
      <FeedingScreen residentId={id} />
    </ResidentPanes>
  );
}
