import Print from 'lucide-react-native/icons/printer';
import Scan from 'lucide-react-native/icons/scan-qr-code';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useHouse } from '@/client/house';
import { openPaper } from '@/client/paper';
import { useTheme } from '../components/useStyles';
import { target } from '../theme/tokens';
import { useWalkedShelves } from './RoundFilter';

/** From the walk to the camera, and onto paper. The icon of the camera is drawn here alone: the first screen waits for no other. */
export function RoundTools() {
  const { ink } = useTheme().theme.colors;
  const shelves = useHouse((house) => house.shelves);
  const walked = useWalkedShelves(shelves);
  const print = () =>
    openPaper('round', walked.length === shelves.length ? {} : { shelves: walked.map(({ id }) => id).join(',') });
  const place = { width: target, height: target, alignItems: 'center', justifyContent: 'center' } as const;
  return (
    <View style={{ flexDirection: 'row' }}>
      <Pressable role="button" aria-label="Scan a box" onPress={() => router.push('/scan')} style={place}>
        <Scan size={22} color={ink} strokeWidth={2.2} aria-hidden />
      </Pressable>
      {shelves.length === 0 ? null : (
        <Pressable role="button" aria-label="The round on paper" onPress={print} style={place}>
          <Print size={22} color={ink} strokeWidth={2.2} aria-hidden />
        </Pressable>
      )}
    </View>
  );
}
