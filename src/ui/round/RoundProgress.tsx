import { isSettled, minutesOf } from '@/client/openJobs';
import { View } from 'react-native';
import type { Job } from '@/core/plan/work';
import type { Section } from './sections';
import { makeStyles } from '../components/useStyles';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';

/** How far the walk is: as layers of soil, what is done, what is to do, and what cannot wait. */
export function RoundProgress({ sections }: { sections: readonly Section[] }) {
  const styles = useStyles();
  const later = jobsOf(sections.filter(({ key }) => key === 'later')).filter((job) => !isSettled(job));
  const jobs = jobsOf(sections.filter(({ key }) => key !== 'later'));
  const open = jobs.filter((job) => !isSettled(job));
  const urgent = open.filter((job) => job.cannotWait).length;
  const done = jobs.length - open.length;
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
        <Soft>{`${done} of ${jobs.length} done, ${minutesOf(open)} min left`}</Soft>
        <Soft style={urgent > 0 ? styles.loud : undefined}>
          {urgent > 0 ? `${urgent} cannot wait` : 'all can wait'}
        </Soft>
      </View>
      {later.length > 0 ? (
        <Soft>{`${later.length} more can wait for a lighter day, ${minutesOf(later)} min`}</Soft>
      ) : null}
    </View>
  );
}

const jobsOf = (sections: readonly Section[]): Job[] =>
  sections.flatMap(({ stops }) => stops.flatMap((stop) => stop.jobs));

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, marginTop: space.s },
  bar: { flexDirection: 'row', height: 14, borderRadius: 3, overflow: 'hidden', backgroundColor: theme.colors.line },
  done: { backgroundColor: theme.colors.bark },
  urgent: { backgroundColor: theme.colors.clay },
  words: { flexDirection: 'row', justifyContent: 'space-between' },
  loud: { color: theme.colors.clay },
}));
