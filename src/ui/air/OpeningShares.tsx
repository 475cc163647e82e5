import { View } from 'react-native';
import type { OpeningFlow } from '@/core/climate/airFlow';
import { makeStyles } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { openingSide } from '@/words/air';

/** What each opening contributes: its share of all that leaves, by diffusion and by moving air. */
export function OpeningShares({ openings }: { openings: OpeningFlow[] }) {
  const styles = useStyles();
  const sorted = [...openings].sort((a, b) => b.sharePct - a.sharePct);
  const toLitres = (m3s: number) => 3_600_000 * m3s;
  return (
    <View style={{ gap: space.s }}>
      {sorted.map((each, index) => (
        <View key={index} style={{ gap: space.hair }}>
          <View style={styles.words}>
            <Body>{`${openingSide(each.side)}${each.count > 1 ? `, ${each.count} openings` : ''}`}</Body>
            <Body>{`${Math.round(each.sharePct)} %`}</Body>
          </View>
          <View style={styles.track}>
            <View style={[styles.diffusion, { width: `${share(each.diffusionM3S, each)}%` }]} />
            <View style={[styles.bulk, { width: `${share(each.bulkM3S, each)}%` }]} />
          </View>
          <Soft>{`${toLitres(each.diffusionM3S).toFixed(1)} L an hour seep through, ${toLitres(each.bulkM3S).toFixed(1)} L are carried by moving air; ${Math.round(each.openAreaMm2)} mm² open`}</Soft>
        </View>
      ))}
    </View>
  );
}

const share = (part: number, each: OpeningFlow) => {
  const all = each.diffusionM3S + each.bulkM3S;
  return all > 0 ? (each.sharePct * part) / all : 0;
};

const useStyles = makeStyles((theme) => ({
  words: { flexDirection: 'row', justifyContent: 'space-between' },
  track: { flexDirection: 'row', height: space.s, backgroundColor: theme.colors.line },
  diffusion: { backgroundColor: theme.colors.dew },
  bulk: { backgroundColor: theme.colors.good },
}));
