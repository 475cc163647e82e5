import Text from '@rneui/themed/dist/Text';
import { memo, useMemo } from 'react';
import { View } from 'react-native';
import { sectionOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import type { Home, Resident } from '@/contract/records';
import { makeStyles } from '../components/useStyles';
import { fonts, space, target, type } from '../theme/tokens';
import { BoxPicture } from './BoxPicture';

interface Props {
  home: Home;
  /** Who is drawn in it; left out, it stands empty. */
  resident?: Resident | undefined;
  isLeftAlone?: boolean;
  /** It has no label yet. */
  isYetToGet?: boolean;
}

/** No wider and no higher than this, whatever its scale. px */
export const TILE_PX = target + space.xs;

/** A box as a keeper finds it again: its picture, and under it the code on its label. */
export const BoxTile = memo(function BoxTile({ home, resident, isLeftAlone = false, isYetToGet = false }: Props) {
  const styles = useStyles();
  const care = useHouse((house) => house.care);
  const plan = useMemo(() => sectionOf(care, home, resident), [care, home, resident]);
  const pxPerMm = Math.min(INSIDE_PX / plan.widthMm, INSIDE_PX / plan.fullHeightMm);
  return (
    <View style={styles.tile}>
      <BoxPicture {...{ plan, pxPerMm, isLeftAlone }} wetness={home.state?.water?.wetness} />
      {isYetToGet ? null : (
        <Text style={styles.code} numberOfLines={1}>
          {home.code}
        </Text>
      )}
    </View>
  );
});

/** Without its walls and its lid. px */
const INSIDE_PX = TILE_PX - 6;

const useStyles = makeStyles(() => ({
  tile: { width: TILE_PX, alignItems: 'center', gap: space.hair },
  code: { fontFamily: fonts.bold, fontSize: type.small, lineHeight: 16 },
}));
