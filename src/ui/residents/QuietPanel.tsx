import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Round } from '@/contract/round';
import { makeStyles } from '../components/useStyles';
import { Body, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { leaveAloneWords } from '../words/jobs';

/** Why one is left alone today; null where it is not. */
export const quietOf = (round: Round | null, residentId: string) =>
  round?.stops.find((stop) => stop.residentId === residentId)?.leaveAlone ?? null;

export const useQuiet = (residentId: string) => useHouse((house) => quietOf(house.round, residentId));

/**
 * Asks once before something is done to one that is left alone: the first tap asks, the second means it.
 * @param act what is about to be done; another act is asked about anew
 */
export function useAskedOnce(isQuiet: boolean, act: string) {
  const [asked, setAsked] = useState<string>();
  const isAsked = isQuiet && asked === act;
  return {
    isAsked,
    /** True when it may be done; else it has been asked. */
    mayDo: () => {
      if (!isQuiet || isAsked) return true;
      setAsked(act);
      return false;
    },
  };
}

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
