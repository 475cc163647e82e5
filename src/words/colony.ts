import type { CountVerdict } from '@/core/colony/expected';
import type { MoveAct } from '@/core/colony/nestSteps';
import type { Band } from '@/core/colony/project';
import { dayWords } from './days';

/** Heads as they are worth saying: two digits beyond a hundred. */
export function headsWords(count: number): string {
  if (count < 10) return String(Math.round(count * 10) / 10).replace(/\.0$/, '');
  return String(count < 100 ? Math.round(count) : Number(count.toPrecision(2)));
}

/** "about 640 (210 to 1400)". */
export const bandWords = ({ p10, median, p90 }: Band) =>
  `about ${headsWords(median)} (${headsWords(p10)} to ${headsWords(p90)})`;

const STAGE_WORDS: Record<string, string> = {
  egg: 'eggs',
  larva: 'larvae',
  pupa: 'pupae',
  nymph: 'nymphs',
  juvenile: 'young',
  adult: 'grown',
  worker: 'workers',
};
export const stageWords = (stage: string) => STAGE_WORDS[stage] ?? stage;

/** "40 larvae, 180 workers": of the stages that anybody is in. */
export const stageCountsWords = (counts: readonly (readonly [stage: string, count: number])[]) =>
  counts
    .filter(([, count]) => count >= 1)
    .map(([stage, count]) => `${headsWords(Math.round(count))} ${stageWords(stage)}`)
    .join(', ');

/** "40 eggs, 12 larvae": a count by stages as it was counted. */
export const countedWords = (stages: Readonly<Record<string, number>>) =>
  Object.entries(stages)
    .map(([stage, count]) => `${count} ${stageWords(stage)}`)
    .join(', ');

const CASTE_WORDS: Record<string, string> = {
  minim: 'smallest workers',
  minor: 'small workers',
  media: 'middle workers',
  major: 'large workers',
};
/** "120 small workers, 30 middle workers". */
export const castesWords = (castes: readonly { id: string; count: number }[]) =>
  castes
    .filter(({ count }) => count > 0)
    .map(({ id, count }) => `${headsWords(count)} ${CASTE_WORDS[id] ?? id}`)
    .join(', ');

export const VERDICT_WORDS: Record<CountVerdict, string> = {
  'as-expected': 'The last count is what was to be expected.',
  fewer: 'Fewer than were to be expected: look at damp, food and mould before anything is taken out.',
  crash:
    'Far fewer than were to be expected: it may be crashing. Take nothing out, look for mould, drought, mites or old soil, and begin a second tub of the healthy ones.',
  more: 'More than were to be expected: it may burst its room soon.',
};
/** Of ants, whose young nobody can take out. */
export const ANT_VERDICT_WORDS: Record<CountVerdict, string> = {
  'as-expected': VERDICT_WORDS['as-expected'],
  fewer: 'Fewer workers than were to be expected: look at damp, warmth and food.',
  crash: 'Far fewer workers than were to be expected: look at damp, warmth and food, and whether the queen still lays.',
  more: 'More workers than were to be expected: the next module may be due earlier.',
};
export const VERDICT_SHORT: Record<CountVerdict, string> = {
  'as-expected': '',
  fewer: 'fewer than expected',
  crash: 'may be crashing',
  more: 'growing fast',
};

export const MOVE_ACT_WORDS: Record<MoveAct, string> = {
  prepare: 'Damp the new nest and let it stand; the barrier on the rim is fresh',
  link: 'Join the nests by a tube that two of the largest can pass',
  dark: 'Cover the new nest, leave the old one in bright light',
  queen: 'Carry the queen over with soft tweezers, held at the sides',
  garden: 'Carry the whole garden after her, in one piece where it goes',
  heap: 'Leave them a small rubbish heap outside',
  look: 'Look in: have they begun to carry brood?',
  'feed-hard': 'Feed hard for two weeks, until the chamber is filled',
  'leave-on': 'Leave the old nest on: brood may still be in it',
  'take-off': 'Take the old nest off, if nobody has been in it for a week',
};

/** "180 mL", "2.4 L". */
export const volumeWords = (ml: number): string =>
  ml < 1000 ? `${Math.max(5, Math.round(ml / 5) * 5)} mL` : `${(ml / 1000).toFixed(1)} L`;

/** Whole heads are taken out, each week at least one. */
export const LEAST_PER_WEEK = 1;

/** What a culture bears: "About 12 grown ones a week, or 4 % of those counted, may go from 3 Mar on. Keep 10 at any rate." */
export function harvestWords(
  { perWeek, sharePct, keepBack }: { perWeek: number; sharePct: number; keepBack: number },
  usableOn: string | null,
  today: string,
): string {
  if (usableOn === null || perWeek < LEAST_PER_WEEK)
    return 'Not even one a week can be taken out for ever: it would not last three years.';
  const from = usableOn > today ? `from ${dayWords(usableOn, today)} on` : 'from now on';
  return (
    `About ${headsWords(Math.floor(perWeek))} grown ones a week may go ${from}; where fewer are counted, at most ${headsWords(sharePct)} % of them. ` +
    `Keep ${keepBack} at any rate: so 19 of 20 cultures last three years and more.`
  );
}
