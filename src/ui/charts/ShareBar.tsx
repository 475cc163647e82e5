import { View } from 'react-native';
import { pct } from '@/words/count';
import { makeStyles } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { space, stroke } from '../theme/tokens';

interface Share {
  title: string;
  pct: number;
  /** Firm ground is filled, loose ground is outlined only: it shows without colour. */
  tone: 'firm' | 'loose';
}

const HEIGHT = 22;
/** What is less than this is told in words alone. % */
const SEEN_PCT = 0.5;

/** Parts of a whole in one bar, as layers of soil lie beside each other, and each said below with its share. */
export function ShareBar({ shares, label }: { shares: readonly Share[]; label: string }) {
  const styles = useStyles();
  const inOrder = [...shares].sort((a, b) => b.pct - a.pct);
  const firm = inOrder.filter(({ tone }) => tone === 'firm');
  const loose = inOrder.filter(({ tone }) => tone === 'loose');
  const said = [...firm, ...loose];
  return (
    <View style={{ gap: space.s }}>
      <View
        role="img"
        aria-label={`${label}. ${said.map((each) => `${each.title}, ${pct(each.pct)}`).join('; ')}.`}
        style={styles.bar}
      >
        {said.map((each) =>
          each.pct < SEEN_PCT ? null : (
            <View key={each.title} style={[styles.part, styles[each.tone], { flexGrow: each.pct }]} />
          ),
        )}
      </View>
      {said.map((each) => (
        <View key={each.title} style={styles.line}>
          <View style={[styles.key, styles[each.tone]]} />
          <Body style={styles.words}>{each.title}</Body>
          <Soft>{pct(each.pct)}</Soft>
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  bar: { flexDirection: 'row', height: HEIGHT, gap: stroke.line },
  part: { flexBasis: 0, height: HEIGHT },
  firm: { backgroundColor: theme.colors.soilDry, borderWidth: stroke.line, borderColor: theme.colors.soilDry },
  loose: { backgroundColor: theme.colors.ground, borderWidth: stroke.line, borderColor: theme.colors.wall },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  key: { width: 14, height: 14 },
  words: { flex: 1 },
}));
