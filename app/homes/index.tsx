import { useIsWide } from '@/ui/components/useLayout';
import { HousePane, WallScreen } from '@/ui/screens/lazyForms';

export default function HomesRoute() {
  return useIsWide() ? <HousePane /> : <WallScreen />;
}
