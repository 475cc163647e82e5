import type { JobKind } from '@/core/plan/jobs';
import { router } from 'expo-router';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { fitOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import { useQueue } from '@/client/queue';
import type { Home, Resident } from '@/contract/records';
import type { Job } from '@/core/plan/work';
import { Button } from '../kit/Button';
import { TickCircle } from '../components/TickCircle';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { circle, space, target } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { JOB_WORDS } from '@/words/jobKinds';
import { alsoWords, SKIP_WORDS } from '@/words/doing';
import { jobReason, jobTitle, pouredWords } from '@/words/jobs';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';
import { useNames } from '@/words/useNames';
import { entryFor, isOpened, outcomeAfter, outcomeOf, type OpenedKind } from './answering';
import { FOUND_WORDS, FoodAnswers, OUTCOME_WORDS, PreyAnswers, type Outcome } from './MealAnswers';
import { OtherAmounts } from './OtherAmounts';
import { useSwipe } from './useSwipe';

interface Props {
  /** What the box is called, with who is meant where several live in it. */
  code: string;
  job: Job;
  home: Home;
  resident: Resident;
  today: string;
  /** Who it is for, over the first job of a stop. */
  children: ReactNode;
}

/** One thing to do at a box: a tap on its circle, or a swipe to the right, says it is done; to the left puts it off. */
export function JobRow({ code, job, home, resident, today, children }: Props) {
  const styles = useStyles();
  const length = useLength();
  const temperature = useTemperature();
  const names = useNames();
  const [isOpen, setOpen] = useState(false);
  const { answer, putOff, undo } = useLog.getState();
  const isIt = (each: { residentId: string; kind: JobKind }) =>
    each.residentId === resident.id && each.kind === job.kind;
  const isKept = useQueue((queue) => queue.acts.some(isIt));
  const isSending = useLog((log) => log.sending.some(isIt));
  const care = useHouse((house) => house.care);
  const done = job.doneBy !== undefined;
  const { skipped } = job;
  const isLoud = job.cannotWait && !done && !skipped;
  const title = jobTitle(job, length, names, temperature);
  const fit = job.reason.code === 'home-fails' ? fitOf(care, home, resident) : undefined;
  const reason = jobReason(job, today, fit?.checks ?? [], temperature);
  const say = (entries: NewEntry[], words: string) => void answer(resident.id, job.kind, entries, `${code}: ${words}`);
  const opened = isOpened(job.kind);
  const tick = () => {
    const takeBack = job.doneBy ?? skipped?.entryId;
    if (takeBack !== undefined) return void undo(takeBack);
    if (isTicked(job)) {
      return say([entryFor(job, home, resident)], job.water ? pouredWords(job.water.ml) : JOB_WORDS[job.kind].done);
    }
  };
  const isFood = job.kind === 'leftovers' && job.meal !== undefined && job.meal.eats !== 'prey' && !done && !skipped;
  const isPrey = job.kind === 'feed' && job.meal?.eats === 'prey' && !done && !skipped;
  const answerPrey = (outcome: Outcome) => {
    const offer = { ...entryFor({ ...job, kind: 'feed' }, home, resident), id: newId() } as NewEntry & { id: string };
    const then = outcome === 'left' ? [] : [outcomeAfter(offer, outcome)];
    say([offer, ...then], OUTCOME_WORDS[outcome]);
  };
  const onRight = done || skipped || opened ? undefined : isPrey ? () => answerPrey('eaten') : tick;
  const swipe = useSwipe(onRight, done || skipped ? undefined : () => setOpen(true));
  return (
    <View testID="job-row">
      <View
        style={[styles.job, swipe.drawnPx !== 0 && { transform: [{ translateX: swipe.drawnPx }] }]}
        {...swipe.handlers}
      >
        <View style={styles.words}>
          {children}
          <Pressable
            role="button"
            aria-expanded={isOpen}
            aria-label={`${code}: ${title}. Put off`}
            disabled={done || skipped !== undefined}
            onPress={() => setOpen(!isOpen)}
            style={styles.why}
          >
            <Strong style={[isLoud && styles.loud, (done || skipped) && styles.done]}>{title}</Strong>
            <Soft>{isLoud ? `cannot wait: ${reason}` : reason}</Soft>
            {job.lighterIn === undefined || done || skipped ? null : (
              <Soft>{`can wait until ${dayWords(job.until, today)}`}</Soft>
            )}
          </Pressable>
          {skipped ? (
            <Soft>{`put off to ${dayWords(skipped.until, today)}: ${SKIP_WORDS[skipped.why].toLowerCase()}`}</Soft>
          ) : null}
          {job.alsoBy !== undefined ? <Soft>{alsoWords(job.alsoBy)}</Soft> : null}
          {isSending ? <Soft>saving…</Soft> : null}
          {isKept ? <Soft style={styles.loud}>Kept on this phone, not sent yet.</Soft> : null}
          {job.kind === 'leftovers' && !isFood && !done ? (
            <View style={styles.other}>
              <Button
                rank="second"
                title="Still there, taken out"
                onPress={() => say([outcomeOf(job, resident, 'refused')], 'taken out, not eaten.')}
              />
            </View>
          ) : null}
          {isFood ? (
            <FoodAnswers
              code={code}
              onAnswer={(found) =>
                say(
                  [found === 'gone' ? outcomeOf(job, resident, 'eaten') : outcomeOf(job, resident, 'refused', found)],
                  FOUND_WORDS[found],
                )
              }
            />
          ) : null}
          {LOOKS.has(job.kind) && !done && !skipped ? (
            <View style={styles.other}>
              <Suspense>
                <Happened job={job} resident={resident} />
              </Suspense>
            </View>
          ) : null}
          {job.kind === 'label' && !done && !skipped ? (
            <View style={styles.other}>
              <Button rank="second" title="Print it" onPress={() => void printLabel(home)} />
            </View>
          ) : null}
          {isPrey ? <PreyAnswers code={code} onAnswer={answerPrey} /> : null}
          {job.kind === 'damp' && job.water && !done && !skipped ? (
            <OtherAmounts
              {...{ code, askedMl: job.water.ml }}
              onPoured={(ml) => say([entryFor({ ...job, kind: 'damp' }, home, resident, ml)], pouredWords(ml))}
            />
          ) : null}
        </View>
        {isPrey || isFood ? null : isOpened(job.kind) && !done && !skipped ? (
          <Button
            rank="second"
            title={OPENS[job.kind].title}
            onPress={() => OPENS[job.kind as OpenedKind].open(home, resident)}
          />
        ) : (
          <TickCircle
            label={`${code}: ${job.kind === 'leftovers' ? 'nothing left, eaten' : title}`}
            done={done}
            pressing={job.cannotWait || isKept}
            {...(skipped && { mark: 'Clock' as const, label: `${code}: put off. Take back` })}
            onPress={tick}
          />
        )}
      </View>
      {isOpen && !done && !skipped ? (
        <View style={styles.drawer}>
          <Suspense>
            <PutOff
              job={job}
              today={today}
              onPutOff={(until, why) => {
                setOpen(false);
                void putOff(resident.id, job.kind, until, why, `${code}: put off to ${dayWords(until, today)}.`);
              }}
            />
          </Suspense>
        </View>
      ) : null}
    </View>
  );
}

/** Somebody looks whether it has happened. */
const LOOKS = new Set<JobKind>(['look', 'hatch', 'emerge']);
const Happened = lazy(async () => ({ default: (await import('./Happened')).Happened }));

/** Opened by a tap: the walk is drawn without it. */
const PutOff = lazy(async () => ({ default: (await import('./PutOff')).PutOff }));

/** What prints is fetched when something is to be printed. */
const printLabel = async ({ id }: Home) => (await import('@/client/labels')).printLabelsOf(id);

const isTicked = (job: Job): job is Job & { kind: Exclude<JobKind, OpenedKind> } => !isOpened(job.kind);

const toRecord =
  (what: 'measured' | 'counted') =>
  (_home: Home, { id }: Resident) =>
    router.push(`/residents/${id}?write=${what}`);

/** Where the work is done that is not ticked off. */
const OPENS: Record<OpenedKind, { title: string; open: (home: Home, resident: Resident) => void }> = {
  weigh: { title: 'Weigh', open: toRecord('measured') },
  measure: { title: 'Measure', open: toRecord('measured') },
  census: { title: 'Count', open: toRecord('counted') },
  rehouse: { title: 'Boxes', open: (_home, { id }) => router.push(`/residents/${id}/boxes`) },
  mend: { title: 'Mend', open: ({ id }) => router.push(`/homes/${id}`) },
  papers: { title: 'Papers', open: (_home, { id }) => router.push(`/residents/${id}/papers`) },
  move: { title: 'Steps', open: (_home, { id }) => router.push(`/residents/${id}/move`) },
  hold: { title: 'Places', open: (_home, { id }) => router.push(`/residents/${id}/boxes`) },
};

const useStyles = makeStyles((theme) => ({
  job: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: circle,
    paddingLeft: target + space.xs + space.m,
    // A row that is drawn is not text that is marked.
    userSelect: 'none',
  },
  words: { flex: 1, gap: space.hair },
  why: { gap: space.hair, minHeight: target, justifyContent: 'center' },
  other: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, marginTop: space.s },
  drawer: { paddingLeft: target + space.xs + space.m },
  loud: { color: theme.colors.clay },
  done: { textDecorationLine: 'line-through', color: theme.colors.inkSoft },
}));
