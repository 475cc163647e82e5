import Scan from 'lucide-react-native/icons/scan-qr-code';
import { router } from 'expo-router';
import { Pressable } from 'react-native';
import { useTheme } from '../components/useStyles';
import { target } from '../theme/tokens';

/** From the walk to the camera. Its icon is drawn here alone: the first screen waits for no other. */
export function ScanButton() {
  const { theme } = useTheme();
  return (
    <Pressable
      role="button"
      aria-label="Scan a box"
      onPress={() => router.push('/scan')}
      style={{ width: target, height: target, alignItems: 'center', justifyContent: 'center' }}
    >
      <Scan size={22} color={theme.colors.ink} strokeWidth={2.2} aria-hidden />
    </Pressable>
  );
}
