import { View } from 'react-native';
import type { Job } from '@/core/plan/work';
import { makeStyles } from '../components/useStyles';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';

/** How far the walk is: as layers of soil, what is done, what is to do, and what cannot wait. */
export function RoundProgress({ jobs }: { jobs: Job[] }) {
  const styles = useStyles();
  const open = jobs.filter((job) => job.doneBy === undefined);
  const urgent = open.filter((job) => job.cannotWait).length;
  const done = jobs.length - open.length;
  const minutes = Math.round(open.reduce((sum, job) => sum + job.minutes, 0));
  if (jobs.length === 0) return null;
  return (
    <View style={styles.all}>
      <View
        role="progressbar"
        aria-label="Today’s round"
        aria-valuenow={done}
        aria-valuemin={0}
        aria-valuemax={jobs.length}
        style={styles.bar}
      >
        <View style={[styles.done, { flex: done }]} />
        <View style={[styles.urgent, { flex: urgent }]} />
        <View style={{ flex: open.length - urgent }} />
      </View>
      <View style={styles.words}>
        <Soft>{`${done} of ${jobs.length} done, ${minutes} min left`}</Soft>
        <Soft style={urgent > 0 ? styles.loud : undefined}>
          {urgent > 0 ? `${urgent} cannot wait` : 'all can wait'}
        </Soft>
      </View>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, marginTop: space.s },
  bar: { flexDirection: 'row', height: 14, borderRadius: 3, overflow: 'hidden', backgroundColor: theme.colors.line },
  done: { backgroundColor: theme.colors.soilDry },
  urgent: { backgroundColor: theme.colors.clay },
  words: { flexDirection: 'row', justifyContent: 'space-between' },
  loud: { color: theme.colors.clay },
}));
