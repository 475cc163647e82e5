import type { Contradiction } from '@/core/plan/schoolChange';
import { JOB_WORDS } from './jobKinds';
import type { SchoolEffect } from '@/contract/handbook';
import type { DrillPlan } from '@/core/housing/drilling';
import type { SchoolTopic } from '@/core/profiles/schools';
import { changesNumber } from './staleAir';
import { openingsWords } from './build';
import { dishWords, type Names } from './food';
import type { LengthWords } from './lengths';

export const TOPIC_WORDS: Record<SchoolTopic, string> = {
  air: 'Air and water',
  openings: 'Openings',
  feeding: 'Meals',
  aim: 'Aim of feeding',
  'litter-food': 'Food on the litter',
  'ant-prey': 'Prey for the colony',
  'snail-egg': 'Egg for snails',
  winter: 'Winter',
};

type Change = SchoolEffect['residents'][number]['change'];

/** What a choice changes for one, in short sentences; none when it changes nothing. */
export function changeWords({ work, checks, meal, openings }: Change, names: Names, length: LengthWords): string[] {
  return [
    ...work.map(
      ({ kind, timesBefore, timesAfter }) =>
        `${JOB_WORDS[kind].noun}: ${timesAfter} times a year instead of ${timesBefore}`,
    ),
    ...checks.map(({ title, before, after }) =>
      after === null
        ? `no longer asked: ${title.toLowerCase()}`
        : `${title.toLowerCase()}: ${STATUS[after]}${before === null ? ', asked from now on' : ''}`,
    ),
    ...(meal ? [`next meal: ${mealWords(meal.after, names)} instead of ${mealWords(meal.before, names)}`] : []),
    ...(openings
      ? [
          `a new box gets ${sidesWords(openings.after, length)} instead of ${sidesWords(openings.before, length)}`,
          `its air then changes ${changesNumber(openings.after.airChangesPerHour)} times an hour instead of ${changesNumber(openings.before.airChangesPerHour)}`,
          ...(openings.after.isShort && !openings.before.isShort ? ['which is less than it should have'] : []),
        ]
      : []),
  ];
}

/** "2 round openings of 50 mm in each of 2 sides, under mesh of 1 mm". */
const sidesWords = (plan: DrillPlan, length: LengthWords): string =>
  plan.perSide === 0
    ? 'none'
    : [
        `${openingsWords(plan, length)} in ${plan.sides.length === 1 ? 'one side' : `each of ${plan.sides.length} sides`}`,
        ...(plan.meshApertureMm === null ? [] : [`under mesh of ${length.long(plan.meshApertureMm)}`]),
      ].join(' ');

const STATUS = { pass: 'passes', watch: 'to be watched', fail: 'fails' } as const;

const mealWords = (meal: NonNullable<Change['meal']>['after'], names: Names): string =>
  meal === null
    ? 'none'
    : `${meal.dishes.map((dish) => dishWords(names, dish)).join(', ') || 'food'} every ${Math.max(1, Math.round(meal.everyDays))} days`;

/** Of a whole choice: how much work a year it adds or takes. */
export function minutesWords({
  minutesBefore,
  minutesAfter,
}: Pick<SchoolEffect, 'minutesBefore' | 'minutesAfter'>): string {
  const hours = Math.round((minutesAfter - minutesBefore) / 6) / 10;
  if (Math.abs(hours) < 0.1) return 'about as much work as before';
  return hours > 0 ? `${hours} hours more work a year` : `${-hours} hours less work a year`;
}

/** Why two schools go badly together. */
export const CONTRADICTION_WORDS: Record<Contradiction, string> = {
  'hungry-between':
    'To grow it on is to feed it often while it is small. One large meal a month leaves it hungry between, and too full after.',
  'spoils-in-mist': 'What is left of a large meal spoils faster in misted air. Take it out the same day.',
};
