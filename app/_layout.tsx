import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { Shell } from '@/ui/Shell';
import { fontFiles } from '@/ui/theme/fontFiles';

export { BrokenPage as ErrorBoundary } from '@/ui/BrokenPage';

export default function Layout() {
  const [loaded, error] = useFonts(fontFiles);
  if (!loaded && !error) return null;
  return (
    <Shell>
      <Slot />
    </Shell>
  );
}
