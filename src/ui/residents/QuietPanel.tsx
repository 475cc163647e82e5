import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Round } from '@/contract/round';
import { makeStyles } from '../components/useStyles';
import { Body, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { leaveAloneWords } from '@/words/jobs';

/** Why one is left alone today; null where it is not. */
export const quietOf = (round: Round | null, residentId: string) =>
  round?.stops.find((stop) => stop.residentId === residentId)?.leaveAlone ?? null;

export const useQuiet = (residentId: string) => useHouse((house) => quietOf(house.round, residentId));

/** That it is left alone, and until when; nothing where it is not. */
export function QuietPanel({ residentId, more }: { residentId: string; more?: string }) {
  const styles = useStyles();
  const quiet = useQuiet(residentId);
  const today = useHouse((house) => house.round?.on ?? '');
  if (!quiet) return null;
  return (
    <View style={styles.quiet}>
      <Strong>Leave alone</Strong>
      <Body>{leaveAloneWords(quiet, today)}</Body>
      {more !== undefined ? <Body>{more}</Body> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  quiet: { backgroundColor: theme.colors.resting, padding: space.m, marginTop: space.m, gap: space.xs },
}));
