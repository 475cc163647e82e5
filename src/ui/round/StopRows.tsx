import { router } from 'expo-router';
import { memo, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { fitOf, soilEntry } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import type { Home, Resident } from '@/contract/records';
import type { Stop } from '@/contract/round';
import type { Job } from '@/core/plan/work';
import { Button } from '../components/Button';
import { CodeTag } from '../components/CodeTag';
import { Icon, type IconName } from '../components/Icon';
import { TickCircle } from '../components/TickCircle';
import { useIsWide } from '../components/useLayout';
import { makeStyles } from '../components/useStyles';
import { Name, Soft, Strong } from '../components/Words';
import { circle, fonts, space, stroke, target } from '../theme/tokens';
import { jobReason, jobTitle } from '../words/jobs';
import { calledWords } from '../words/residents';
import { useTemperature } from '../words/temperature';
import { useLength } from '../words/useLength';
import { useNames } from '../words/useNames';

interface Props {
  stop: Stop;
  today: string;
  isChosen: boolean;
}

/** One box on the walk: who lives in it, and each thing to do there with its circle. */
export const StopRows = memo(function StopRows({ stop, today, isChosen }: Props) {
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
              <Name style={styles.name}>{resident.scientificName}</Name>
              {resident.called !== null ? (
                <Soft numberOfLines={1} style={styles.called}>
                  {resident.called}
                </Soft>
              ) : null}
            </Pressable>
          ) : null}
        </JobRow>
      ))}
    </View>
  );
});

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
  const names = useNames();
  const answer = useLog((log) => log.answer);
  const undo = useLog((log) => log.undo);
  const unsent = useLog((log) => log.unsent.find((each) => each.residentId === resident.id && each.kind === job.kind));
  const resend = useLog((log) => log.resend);
  const isSending = useLog((log) =>
    log.sending.some((each) => each.residentId === resident.id && each.kind === job.kind),
  );
  const care = useHouse((house) => house.care);
  const done = job.doneBy !== undefined;
  const title = jobTitle(job, length, names, temperature);
  const reason = jobReason(
    job,
    today,
    job.reason.code === 'home-fails' ? fitOf(care, home, resident) : undefined,
    temperature,
  );
  const say = (entries: NewEntry[], words: string) =>
    void answer(resident.id, job.kind, entries, `${home.code}: ${words}`);
  const tick = () => {
    if (unsent) return void resend(unsent);
    if (job.doneBy !== undefined) return void undo(job.doneBy);
    return say([entryFor(job, home, resident)], DONE_WORDS[job.kind]);
  };
  const isPrey = job.kind === 'feed' && job.meal?.eats === 'prey' && !done && !unsent;
  return (
    <View style={styles.job}>
      <View style={styles.words}>
        {children}
        <Strong style={[job.cannotWait && !done && styles.loud, done && styles.done]}>{title}</Strong>
        <Soft>{job.cannotWait && !done ? `cannot wait: ${reason}` : reason}</Soft>
        {job.alsoBy !== undefined ? <Soft>{`${job.alsoBy} logged it too`}</Soft> : null}
        {isSending ? <Soft>saving…</Soft> : null}
        {unsent ? <Soft style={styles.loud}>Not saved yet. Tap to try again.</Soft> : null}
        {job.kind === 'leftovers' && !done ? (
          <View style={styles.other}>
            <Button
              rank="second"
              title="Still there, taken out"
              onPress={() => say([outcomeOf(job, resident, 'refused')], 'taken out, not eaten.')}
            />
          </View>
        ) : null}
        {isPrey ? (
          <PreyAnswers
            code={home.code}
            onAnswer={(outcome) => {
              const offer = { ...entryFor(job, home, resident), id: newId() } as NewEntry & { id: string };
              const then = outcome === 'left' ? [] : [outcomeAfter(offer, outcome)];
              say([offer, ...then], OUTCOME_WORDS[outcome]);
            }}
          />
        ) : null}
      </View>
      {job.kind === 'rehouse' ? (
        <Button rank="second" title="Boxes" onPress={() => router.push(`/residents/${resident.id}/boxes`)} />
      ) : job.kind === 'mend' ? (
        <Button rank="second" title="Mend" onPress={() => router.push(`/homes/${home.id}`)} />
      ) : isPrey ? null : (
        <TickCircle
          label={`${home.code}: ${unsent ? 'not saved, try again' : job.kind === 'leftovers' ? 'nothing left, eaten' : title}`}
          done={done}
          pressing={job.cannotWait || unsent !== undefined}
          onPress={tick}
        />
      )}
    </View>
  );
}

type Outcome = 'eaten' | 'left' | 'refused';
const OUTCOMES: { value: Outcome; title: string; icon: IconName }[] = [
  { value: 'eaten', title: 'Taken', icon: 'Check' },
  { value: 'left', title: 'Left in', icon: 'Clock' },
  { value: 'refused', title: 'Refused', icon: 'X' },
];
const OUTCOME_WORDS: Record<Outcome, string> = {
  eaten: 'taken.',
  left: 'left in, to be looked after.',
  refused: 'refused, taken out.',
};

/** What came of prey at the box: one tap says it all. */
function PreyAnswers({ code, onAnswer }: { code: string; onAnswer: (outcome: Outcome) => void }) {
  const styles = useStyles();
  return (
    <View style={styles.answers} role="group" aria-label={`${code}: what came of the prey`}>
      {OUTCOMES.map(({ value, title, icon }) => (
        <Pressable
          key={value}
          role="button"
          aria-label={`${code}: ${title.toLowerCase()}`}
          onPress={() => onAnswer(value)}
          style={({ pressed }) => [styles.answer, pressed && styles.pressed]}
        >
          <Icon name={icon} size={16} />
          <Soft style={styles.answerWord}>{title}</Soft>
        </Pressable>
      ))}
    </View>
  );
}

/** What became of prey that is offered at this moment. */
const outcomeAfter = ({ id, ...offer }: NewEntry & { id: string }, kind: 'eaten' | 'refused'): NewEntry => ({
  kind,
  residentId: 'residentId' in offer ? offer.residentId : '',
  answers: `meal ${id}`,
});

/** What became of a meal that was offered before. */
const outcomeOf = ({ reason }: Job, { id }: Resident, kind: 'eaten' | 'refused'): NewEntry => ({
  kind,
  residentId: id,
  ...(reason.code === 'offered' && { answers: `meal ${reason.entryId}` }),
});

/** The entry that one tap on a job's circle writes. */
function entryFor(job: Job, home: Home, resident: Resident): NewEntry {
  const residentId = resident.id;
  switch (job.kind) {
    case 'feed':
      return {
        kind: 'offered',
        residentId,
        answers: `feed ${job.dueOn}`,
        ...(job.meal && job.meal.dishes.length > 0 && { dishes: job.meal.dishes }),
      };
    case 'leftovers':
      return outcomeOf(job, resident, 'eaten');
    case 'prey-out':
      return outcomeOf(job, resident, 'refused');
    case 'search':
      return {
        kind: 'searched',
        residentId,
        ...(job.reason.code === 'offered' && { answers: `search ${job.reason.entryId}` }),
      };
    case 'calcium':
    case 'clutch':
    case 'barrier':
    case 'rubbish':
      return { kind: job.kind, residentId };
    case 'rest':
      return {
        kind: 'rest-step',
        residentId,
        step: job.rest?.key ?? '',
        answers: `rest ${job.rest?.restId ?? ''} ${job.rest?.key ?? ''}`,
      };
    case 'water':
      return { kind: 'watered', residentId };
    case 'damp':
      return {
        kind: 'damped',
        residentId,
        ...(job.water && { waterMl: job.water.ml, neededMl: job.water.ml }),
      };
    case 'mist':
      return { kind: 'misted', residentId };
    case 'alarm':
      return { kind: 'looked', residentId };
    case 'soil':
    case 'mend':
    case 'rehouse':
      return soilEntry(home, job.soil?.toMm ?? home.substrateDepthMm);
  }
}

const DONE_WORDS: Record<Job['kind'], string> = {
  feed: 'fed.',
  leftovers: 'nothing left.',
  search: 'old leaves searched, thrown away.',
  calcium: 'lime looked at.',
  clutch: 'soil searched, no eggs.',
  barrier: 'barrier renewed.',
  rubbish: 'rubbish taken out.',
  rest: 'step of its rest done.',
  'prey-out': 'prey taken out.',
  water: 'dish filled.',
  damp: 'soil damped.',
  mist: 'misted.',
  alarm: 'looked at.',
  soil: 'soil set.',
  mend: 'mended.',
  rehouse: 'moved.',
};

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
    alignItems: 'center',
    columnGap: space.s,
    minHeight: target,
    marginVertical: -space.s,
  },
  // On one line: the name its keepers gave it makes way first.
  name: { flexShrink: 0 },
  // One line: a long name is cut short, its box says who it is.
  called: { flexShrink: 1 },
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
  answers: { flexDirection: 'row', gap: space.s, marginTop: space.s },
  answer: {
    flex: 1,
    minHeight: target,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: space.xs,
    borderWidth: stroke.line,
    borderRadius: 3,
    borderColor: theme.colors.good,
    backgroundColor: theme.colors.raised,
  },
  answerWord: { fontFamily: fonts.bold, color: theme.colors.ink },
  pressed: { backgroundColor: theme.colors.resting },
  loud: { color: theme.colors.clay },
  done: { textDecorationLine: 'line-through', color: theme.colors.inkSoft },
}));
