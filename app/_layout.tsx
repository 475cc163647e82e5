import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { Shell } from '@/ui/Shell';
import { fontFiles } from '@/ui/theme/fontFiles';

export default function Layout() {
  const [loaded, error] = useFonts(fontFiles);
  if (!loaded && !error) return null;
  return (
    <Shell>
      <Slot />
    </Shell>
  );
}
