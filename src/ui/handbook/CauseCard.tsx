import { View } from 'react-native';
import type { Cause } from '@/core/trouble/table';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';

/** One cause: how likely, how to look whether it is that, and what is done. Its bar fills like a layer of soil. */
export function CauseCard({ cause, pct, usualPct }: { cause: Cause; pct: number; usualPct: number }) {
  const styles = useStyles();
  return (
    <View style={styles.card}>
      <View style={styles.head}>
        <Strong style={styles.title}>{cause.title}</Strong>
        <Strong>{`${Math.round(pct)} %`}</Strong>
      </View>
      <View style={styles.bar} aria-hidden>
        <View style={[styles.fill, { flex: pct }]} />
        <View style={{ flex: Math.max(0, 100 - pct) }} />
      </View>
      <Body>{cause.check}</Body>
      {cause.doNow.map((line) => (
        <Body key={line}>{`– ${line}`}</Body>
      ))}
      <Soft>{`Before anything was looked at: ${Math.round(usualPct)} % (${cause.basis}).`}</Soft>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  card: { gap: space.xs, paddingBottom: space.m, borderBottomWidth: 1, borderBottomColor: theme.colors.line },
  head: { flexDirection: 'row', gap: space.m },
  title: { flex: 1 },
  bar: { flexDirection: 'row', height: 8, backgroundColor: theme.colors.line },
  fill: { backgroundColor: theme.colors.inkSoft },
}));
