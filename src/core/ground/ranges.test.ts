import { shippedKnowledge } from '@/contract/shipped';
import { meeting } from '@/core/broods/emergence';
import { hatchForecast } from '@/core/broods/hatch';
import { dryingAhead } from '@/core/climate/forecast';
import { questionOf, USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import { nestAdvice } from '@/core/colony/nestSteps';
import { projectColony } from '@/core/colony/project';
import { preyOf } from '@/core/feeding/food';
import { mealOf } from '@/core/feeding/meal';
import { moultForecast } from '@/core/growth/forecast';
import { fit, type Animal } from '@/core/housing/fit';
import { flat } from '@/core/housing/soil';
import { addDays, daysBetween } from '@/core/measure/day';
import type { Range } from '@/core/numerics/spreads';
import { feedingRhythm } from '@/core/plan/feedingJobs';
import type { LogEntry } from '@/core/plan/work';
import { careBook } from '@/core/profiles/careBook';
import { restPlan } from '@/core/season/rest';
import { materialTableOf, type MaterialId } from '@/core/substrate/material';
import { substrate } from '@/core/substrate/substrate';
import type { Knowledge } from './knowledge';
import { numbersOf, withNumber } from './numbers';

/*
 * A range says that engines reckon with it. Here each kind of range that ships is made wide, and what it is to widen is looked at: a
 * kind of number that is given a range, and is not named below, fails.
 */
const ON = '2026-01-15';
const BOX = {
  ...{ shape: 'box' as const, lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid' as const },
  vents: [{ side: 'lid' as const, shape: 'hole' as const, count: 8, diameterMm: 3 }],
};
const profileIn = (knowledge: Knowledge, id: string) =>
  careBook(knowledge.profiles, knowledge.species).of({ profile: id });
/** The largest hole that is safe of all, in parts of what it would be in none that is slender. */
const hole = (profile: string, animal: Omit<Animal, 'stage'>) => (knowledge: Knowledge) => {
  const { largestSafeOpeningMm } = fit(profileIn(knowledge, profile), {
    ...{ stage: 'adult', container: BOX, substrateDepthMm: 50 },
    ...animal,
  });
  return 1 / (largestSafeOpeningMm ?? 1);
};

/** How many days the next meal of a young spider is not late, where its plan gives it none. */
const mealWaits = (happened: readonly LogEntry['kind'][]) => (shipped: Knowledge) => {
  const knowledge = withNumber(shipped, 'profiles/ground-tarantula/feeding/meals/0/toleranceDays', 0);
  const log = happened.map((kind, at) => ({ id: kind, kind, on: ON, at: `${ON}T18:0${at}:00Z` }));
  const spider = { profile: profileIn(knowledge, 'ground-tarantula'), stage: 'spiderling' as const, legSpanMm: 20 };
  return feedingRhythm({ ...spider, log }, addDays(ON, 1))?.rhythm.toleranceDays ?? 0;
};

const wide = ({ min, max }: Range) => max / min;
const days = (from: string, to: string) => daysBetween(from, to);

/** Between which a ground of a meal lies. */
const ofMeal = (id: string, rule: string, sizeMm?: number) => (knowledge: Knowledge) => {
  const profile = profileIn(knowledge, id);
  const { feeders, foods } = knowledge;
  const meal = mealOf({
    ...{ profile, stage: profile.stages.at(-1) ?? 'adult', headCount: 3, on: ON },
    ...(sizeMm !== undefined && { [profile.measure.takes]: sizeMm }),
    larder: { feeders: preyOf(feeders).filter(({ id: each }) => each === 'field-cricket-medium'), foods },
  });
  const { between } = meal?.grounds.find((each) => each.rule === rule) ?? {};
  return between ? wide(between) : 1;
};
const spiderMeal = (rule: string) => ofMeal('ground-tarantula', rule, 120);

const moults = (knowledge: Knowledge) =>
  moultForecast({
    ...{ profile: profileIn(knowledge, 'mantis'), stage: 'nymph', asOf: ON, sizeMm: 20 },
    moults: [{ on: '2026-01-10', sizeMm: 20 }],
  });

const drying = (knowledge: Knowledge) => {
  const profile = profileIn(knowledge, 'isopod-temperate');
  const home = { container: BOX, substrateDepthMm: 50 };
  const table = materialTableOf(knowledge.materials);
  const question = questionOf(profile, 'adult', home, USUAL_ROOM, [{ material: 'coir', parts: 1 }], table, 365);
  const { earliest, latest } = dryingAhead(question, wishesOf(profile)).band;
  return (latest ?? 365) / (earliest ?? 1);
};

const filling = (name: 'waterMl' | 'wetMassG') => (knowledge: Knowledge) => {
  const recipe = [{ material: 'coir' as MaterialId, parts: 1 }];
  const question = { container: BOX, soil: flat(50), recipe, wetnessFrom: 0, wetnessTo: 0.6 };
  return wide(substrate(question, materialTableOf(knowledge.materials)).between[name]);
};

const colony = (knowledge: Knowledge) => {
  const kind = knowledge.populations.find(({ profiles }) => profiles.includes('springtail'));
  if (!kind) throw new Error('There are springtails.');
  const counts = { [kind.young[0]?.id ?? '']: 200, adult: 10 };
  const { series } = projectColony({ kind, counts, temperatureC: 22, weeks: 6 });
  const { p10 = 1, p90 = 1 } = series.at(-1)?.stages.adult ?? {};
  return p90 / p10;
};

const eggs = (mating: 'mated' | 'unmated', of: 'time' | 'share') => (knowledge: Knowledge) => {
  const kind = knowledge.eggs.find(({ profiles }) => profiles.includes('stick-insect'));
  if (!kind) throw new Error('There are eggs of stick insects.');
  const forecast = hatchForecast({ kind, eggs: 60, laidFrom: ON, mating, temperatureC: 17, asOf: ON });
  return of === 'time' ? days(forecast.from, forecast.to) : forecast.expected.p90 / forecast.expected.p10;
};

const moths = (knowledge: Knowledge) => {
  const kind = knowledge.moths.find(({ profiles }) => profiles.includes('moth-tropical'));
  if (!kind) throw new Error('There are moths.');
  const cocoons = [{ id: 'a', sex: 'female' as const, count: 1, on: ON }];
  const { female } = meeting({ kind, cocoons, temperatureC: 18, asOf: ON });
  return female ? days(female.p10, female.p90) : 0;
};

/** By the kind of number: one of it, and how wide that is which it widens. */
const WIDENED: Record<string, [id: string, width: (knowledge: Knowledge) => number]> = {
  'profiles/*/proportions/carapaceWidthMm/value': [
    'profiles/ground-tarantula/proportions/carapaceWidthMm/value',
    hole('ground-tarantula', { legSpanMm: 120 }),
  ],
  'profiles/*/young/widthMm/value': [
    'profiles/ant-large-mediterranean/young/widthMm/value',
    hole('ant-large-mediterranean', { headCount: 40 }),
  ],
  'profiles/*/proportions/bodyLengthMm/value': [
    'profiles/ground-tarantula/proportions/bodyLengthMm/value',
    spiderMeal('prey-length'),
  ],
  'profiles/*/feeding/preyLengthPerAbdomen/value': [
    'profiles/ground-tarantula/feeding/preyLengthPerAbdomen/value',
    spiderMeal('prey-length'),
  ],
  'profiles/*/feeding/abdomenLengthPerBodyLength/value': [
    'profiles/ground-tarantula/feeding/abdomenLengthPerBodyLength/value',
    spiderMeal('prey-length'),
  ],
  'profiles/*/massGPerCm3/value': ['profiles/ground-tarantula/massGPerCm3/value', spiderMeal('meal')],
  'profiles/*/feeding/rations/*/weeklyPct': [
    'profiles/ground-tarantula/feeding/rations/3/weeklyPct',
    spiderMeal('meal'),
  ],
  'profiles/*/growth/ratioPerMoult/value': [
    'profiles/mantis/growth/ratioPerMoult/value',
    (knowledge) => wide({ min: moults(knowledge).sizeMm[0]?.p10 ?? 1, max: moults(knowledge).sizeMm[0]?.p90 ?? 1 }),
  ],
  'profiles/*/growth/intervals/*/days/value': [
    'profiles/mantis/growth/intervals/0/days/value',
    (knowledge) => days(moults(knowledge).next?.p10 ?? ON, moults(knowledge).next?.p90 ?? ON),
  ],
  'profiles/*/making/dampWetness': ['profiles/isopod-temperate/making/dampWetness', drying],
  'profiles/*/climate/dampWetnessMin/value': ['profiles/isopod-temperate/climate/dampWetnessMin/value', drying],
  'profiles/*/diet/dailyPctOfMass/value': [
    'profiles/stick-insect/diet/dailyPctOfMass/value',
    ofMeal('stick-insect', 'eaten', 70),
  ],
  'profiles/*/diet/renewDays/summer/value': [
    'profiles/stick-insect/diet/renewDays/summer/value',
    ofMeal('stick-insect', 'renewal', 70),
  ],
  'profiles/*/diet/renewDays/winter/value': [
    'profiles/stick-insect/diet/renewDays/winter/value',
    ofMeal('stick-insect', 'renewal', 70),
  ],
  'profiles/*/measure/usualMm/value': ['profiles/land-snail/measure/usualMm/value', ofMeal('land-snail', 'greens')],
  'profiles/*/making/dampSharePct': ['profiles/isopod-temperate/making/dampSharePct', drying],
  'profiles/*/feeding/offerAgainAfterDays/value': [
    'profiles/ground-tarantula/feeding/offerAgainAfterDays/value',
    mealWaits(['offered', 'refused']),
  ],
  'profiles/*/feeding/settleDays/value': [
    'profiles/ground-tarantula/feeding/settleDays/value',
    mealWaits(['taken-in']),
  ],
  'foods/*/shelfLifeDays': ['foods/bramble/shelfLifeDays', ofMeal('stick-insect', 'lasts-in-water', 70)],
  'profiles/*/nest/perHeadMl/value': [
    'profiles/ant-small-temperate/nest/perHeadMl/value',
    (knowledge) =>
      wide(
        nestAdvice({
          ...{ profile: profileIn(knowledge, 'ant-small-temperate'), workers: 60, ahead: 90, volumeMl: 14 },
        }).fullBetween,
      ),
  ],
  'materials/*/looseDensityGPerL/value': ['materials/coir/looseDensityGPerL/value', filling('wetMassG')],
  'materials/*/waterHeldMlPerL/value': ['materials/coir/waterHeldMlPerL/value', filling('waterMl')],
  'materials/*/creepMm2PerH/value': ['materials/coir/creepMm2PerH/value', drying],
  'feeders/*/classes/*/lengthMm': [
    'feeders/field-cricket/classes/field-cricket-medium/lengthMm',
    spiderMeal('prey-piece'),
  ],
  'feeders/*/classes/*/massG': ['feeders/field-cricket/classes/field-cricket-medium/massG', spiderMeal('prey-weight')],
  'foods/*/gramsPerCutting/value': ['foods/bramble/gramsPerCutting/value', ofMeal('stick-insect', 'cuttings', 70)],
  'populations/*/young/*/days/value': ['populations/springtail/young/juvenile/days/value', colony],
  'populations/*/warmth/referenceC/value': ['populations/springtail/warmth/referenceC/value', colony],
  'populations/*/warmth/baseC/value': ['populations/springtail/warmth/baseC/value', colony],
  'rests/*/weeks/value': [
    'rests/ant-small-temperate/weeks/value',
    (knowledge) => {
      const kind = knowledge.rests.find(({ profiles }) => profiles.includes('ant-small-temperate'));
      if (!kind) throw new Error('They rest.');
      const { endsBetween } = restPlan({ kind, hemisphere: 'north', asOf: '2026-09-01', roomC: 21, placeC: 8 });
      return days(endsBetween.from, endsBetween.to);
    },
  ],
  'eggs/*/hatchPct/mated/value': ['eggs/stick-insect/hatchPct/mated/value', eggs('mated', 'share')],
  'eggs/*/hatchPct/unmated/value': ['eggs/stick-insect/hatchPct/unmated/value', eggs('unmated', 'share')],
  'eggs/*/warmth/referenceC/value': ['eggs/stick-insect/warmth/referenceC/value', eggs('mated', 'time')],
  'eggs/*/warmth/baseC/value': ['eggs/stick-insect/warmth/baseC/value', eggs('mated', 'time')],
  'moths/*/warmth/referenceC/value': ['moths/moth-tropical/warmth/referenceC/value', moths],
  'moths/*/warmth/baseC/value': ['moths/moth-tropical/warmth/baseC/value', moths],
};

const numbers = numbersOf(shippedKnowledge);
/** The kind of a number: rows of a list by a star. */
const kindOfNumber = (id: string) => {
  const [part, , ...path] = id.split('/');
  return [part, '*', ...path]
    .join('/')
    .replace(/(classes|intervals|rations|young)\/[^/]+\/(?!value)/, '$1/*/')
    .replace(/^species.*youngWidthMm/, 'profiles/*/young/widthMm');
};

describe('a range', () => {
  it('is told of no kind of number that is not looked at here', () => {
    const told = new Set(numbers.flatMap(({ id, spread }) => (spread?.by === 'range' ? [kindOfNumber(id)] : [])));
    expect([...told].filter((kind) => !(kind in WIDENED))).toEqual([]);
    expect(Object.keys(WIDENED).filter((kind) => !told.has(kind))).toEqual([]);
  });

  it.each(Object.entries(WIDENED))('of %s widens what is told', (_, [id, width]) => {
    const value = numbers.find((each) => each.id === id)?.value ?? 0;
    const range = id.endsWith('/value') ? id.replace(/value$/, 'range') : `${id}Range`;
    const within = (part: number) => {
      const lower = withNumber(shippedKnowledge, `${range}/min`, value * (1 - part));
      return withNumber(lower, `${range}/max`, value * (1 + part));
    };
    expect(width(within(0.3))).toBeGreaterThan(width(within(0.01)));
  });
});
