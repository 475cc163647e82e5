import { View } from 'react-native';
import type { PooledSubstrate } from '@/core/substrate/pool';
import { makeStyles } from '../components/useStyles';
import { Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { kilograms, litres, MATERIAL_WORDS } from '@/words/home';
import { countWords } from '@/words/count';

/** What all homes of a sheet take together: one heap, one round of soaking. */
export function PooledSheet({ pooled }: { pooled: PooledSubstrate }) {
  const styles = useStyles();
  return (
    <View style={styles.all}>
      <Heading>All together</Heading>
      {pooled.materials.map(({ material, volumeL, dryMassG }) => (
        <View key={material} style={styles.line}>
          <Strong style={styles.what}>{MATERIAL_WORDS[material]}</Strong>
          <Strong>{litres(volumeL)}</Strong>
          <Soft style={styles.mass}>{`${kilograms(dryMassG)} dry`}</Soft>
        </View>
      ))}
      {pooled.bricks.map(({ material, count, pieceMassG, pieceWaterMl }) => (
        <Soft key={material}>
          {`${countWords(count, 'brick')} of ${MATERIAL_WORDS[material]}, ${kilograms(pieceMassG)} of it to soak in ${litres(pieceWaterMl / 1000)}`}
        </Soft>
      ))}
      <Soft>{`${litres(pooled.waterMl / 1000)} of water in all, with what is soaked up; ${kilograms(pooled.wetMassG)} when damp`}</Soft>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, marginTop: space.l, padding: space.m, backgroundColor: theme.colors.resting },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: space.m },
  what: { flex: 1 },
  mass: { width: 96, textAlign: 'right' },
}));
