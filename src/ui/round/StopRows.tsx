import { router } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { fitOf, soilEntry } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home, Resident } from '@/contract/records';
import type { Stop } from '@/contract/round';
import type { Job } from '@/core/plan/due';
import { Button } from '../components/Button';
import { CodeTag } from '../components/CodeTag';
import { TickCircle } from '../components/TickCircle';
import { useIsWide } from '../components/useLayout';
import { makeStyles } from '../components/useStyles';
import { Name, Soft, Strong } from '../components/Words';
import { circle, space, target } from '../theme/tokens';
import { jobReason, jobTitle, preyLimitMm } from '../words/jobs';
import { calledWords } from '../words/residents';
import { useTemperature } from '../words/temperature';
import { useLength } from '../words/useLength';

interface Props {
  stop: Stop;
  today: string;
  isChosen: boolean;
}

/** One box on the walk: who lives in it, and each thing to do there with its circle. */
export function StopRows({ stop, today, isChosen }: Props) {
  const styles = useStyles();
  const isWide = useIsWide();
  const home = useHouse((house) => house.homes.find((each) => each.id === stop.homeId));
  const resident = useHouse((house) => house.residents.find((each) => each.id === stop.residentId));
  if (!home || !resident) return null;
  const open = () => (isWide ? router.setParams({ home: home.id }) : router.push(`/homes/${home.id}`));
  const label = `Open ${home.code}, ${calledWords(resident)}`;
  return (
    <View style={[styles.stop, isChosen && isWide && styles.chosen]}>
      {stop.jobs.map((job, index) => (
        <JobRow key={job.kind} job={job} home={home} resident={resident} today={today}>
          {index === 0 ? (
            <Pressable role="link" aria-label={label} onPress={open} style={styles.who}>
              <View style={styles.tag}>
                <CodeTag code={home.code} />
              </View>
              <Name>{resident.scientificName}</Name>
              {resident.called !== null ? <Soft>{resident.called}</Soft> : null}
            </Pressable>
          ) : null}
        </JobRow>
      ))}
    </View>
  );
}

interface JobProps {
  job: Job;
  home: Home;
  resident: Resident;
  today: string;
  /** Who it is for, over the first job of a stop. */
  children: ReactNode;
}

function JobRow({ job, home, resident, today, children }: JobProps) {
  const styles = useStyles();
  const length = useLength();
  const temperature = useTemperature();
  const { write, undo } = useLog();
  const care = useHouse((house) => house.care);
  const [isBusy, setBusy] = useState(false);
  const done = job.doneBy !== undefined;
  const title = jobTitle(job, length);
  const reason = jobReason(
    job,
    today,
    job.reason.code === 'home-fails' ? fitOf(care, home, resident) : undefined,
    temperature,
  );
  const once = async (act: () => Promise<unknown>) => {
    if (isBusy) return;
    setBusy(true);
    await act();
    setBusy(false);
  };
  const tick = () =>
    once(() =>
      job.doneBy === undefined ? write(entryFor(job, home, resident), doneWords(job, home)) : undo(job.doneBy),
    );
  const stillThere = () =>
    once(() => write({ kind: 'refused', residentId: resident.id }, `${home.code}: prey taken out, not taken.`));
  return (
    <View style={styles.job}>
      <View style={styles.words}>
        {children}
        <Strong style={[job.cannotWait && !done && styles.loud, done && styles.done]}>{title}</Strong>
        <Soft>{job.cannotWait && !done ? `cannot wait: ${reason}` : reason}</Soft>
        {job.kind === 'leftovers' && !done ? (
          <View style={styles.other}>
            <Button rank="second" title="Still there, taken out" onPress={() => void stillThere()} />
          </View>
        ) : null}
      </View>
      {job.kind === 'rehouse' ? (
        <Button rank="second" title="Boxes" onPress={() => router.push(`/residents/${resident.id}/boxes`)} />
      ) : job.kind === 'mend' ? (
        <Button rank="second" title="Mend" onPress={() => router.push(`/homes/${home.id}`)} />
      ) : (
        <TickCircle
          label={`${home.code}: ${job.kind === 'leftovers' ? 'nothing left, eaten' : title}`}
          done={done}
          pressing={job.cannotWait}
          onPress={() => void tick()}
        />
      )}
    </View>
  );
}

/** The entry that one tap on a job's circle writes. */
function entryFor(job: Job, home: Home, resident: Resident) {
  const residentId = resident.id;
  switch (job.kind) {
    case 'feed':
      return {
        kind: 'offered',
        residentId,
        ...(job.prey && { preyCount: job.prey.count, preyLengthMm: Math.max(0.5, preyLimitMm(job.prey.maxLengthMm)) }),
      } as const;
    case 'leftovers':
      return { kind: 'eaten', residentId } as const;
    case 'prey-out':
      return { kind: 'refused', residentId } as const;
    case 'water':
      return { kind: 'watered', residentId } as const;
    case 'damp':
      return {
        kind: 'damped',
        residentId,
        ...(job.water && { waterMl: job.water.ml, neededMl: job.water.ml }),
      } as const;
    case 'mist':
      return { kind: 'misted', residentId } as const;
    case 'alarm':
      return { kind: 'looked', residentId } as const;
    case 'soil':
    case 'mend':
    case 'rehouse':
      return soilEntry(home, job.soil?.toMm ?? home.substrateDepthMm);
  }
}

const DONE_WORDS: Record<Job['kind'], string> = {
  feed: 'prey offered.',
  leftovers: 'nothing left.',
  'prey-out': 'prey taken out.',
  water: 'dish filled.',
  damp: 'soil damped.',
  mist: 'misted.',
  alarm: 'looked at.',
  soil: 'soil set.',
  mend: 'mended.',
  rehouse: 'moved.',
};
const doneWords = (job: Job, home: Home) => `${home.code}: ${DONE_WORDS[job.kind]}`;

const useStyles = makeStyles((theme) => ({
  stop: {
    paddingVertical: space.m,
    gap: space.m,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
    marginHorizontal: -space.l,
    paddingHorizontal: space.l,
  },
  chosen: { backgroundColor: theme.colors.resting },
  // As high as a thumb, without standing further from the job below than the name alone would.
  who: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space.s,
    minHeight: target,
    alignContent: 'center',
    marginVertical: -space.s,
  },
  // The tag stands in the margin, level with the name and the first job.
  tag: { position: 'absolute', left: -(target + space.xs + space.m), top: space.s + space.hair },
  job: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: circle,
    paddingLeft: target + space.xs + space.m,
  },
  words: { flex: 1, gap: space.hair },
  other: { flexDirection: 'row', marginTop: space.s },
  loud: { color: theme.colors.clay },
  done: { textDecorationLine: 'line-through', color: theme.colors.inkSoft },
}));
