import type { Entry } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import type { Check } from '@/core/housing/fit';
import type { Job, JobMeal } from '@/core/plan/work';
import { profileOf } from '@/contract/testing/profileOf';
import { checkNumbers, inputWords, limitWords, marksOf, notCheckedWords, worstFirst } from './checks';
import { dayWords, daysWords, weekday } from './days';
import { entryWords } from './entries';
import { kilograms, litres } from './home';
import { preyLimitMm } from './food';
import { alarmWords, jobReason, jobTitle, leaveAloneWords } from './jobs';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import type { Dish } from '@/core/feeding/food';
import { byGroup, numbersOf, ruleWords } from './profiles';
import { containerWords, lifeWords } from './residents';
import { lengthWords } from '@/words/lengths';
import { temperatureWords } from './temperature';

const celsius = temperatureWords('C');
const mm = lengthWords('mm');

const check = (change: Partial<Check> = {}): Check => ({
  rule: 'gap',
  quantity: 'surfaceToLidMm',
  status: 'fail',
  title: 'Too far to fall',
  actual: 198,
  min: null,
  max: 177,
  unit: 'mm',
  grounds: { rule: 'gap', why: '', basis: 'common practice', inputs: { legSpanMm: 118 }, estimated: [] },
  ...change,
});

describe('verdicts', () => {
  it.each([
    [{}, '198 / 177 mm', 'at most 177 mm'],
    [{ unit: 'mm2', actual: 9692, min: 11_760, max: null }, '96.9 / 118 cm²', 'at least 118 cm²'],
    [{ unit: '%', actual: 17.36, min: 40, max: null }, '17.4 / 40 %', 'at least 40 %'],
    [{ unit: 'L', actual: 2.52, min: 5, max: null }, '2.52 / 5 L', 'at least 5 L'],
    [{ unit: 'count', actual: 0, min: 2, max: null }, '0 / 2', 'at least 2'],
    [{ unit: 'count', actual: 2, min: 2, max: null, status: 'pass' }, '', 'at least 2'],
  ] as [Partial<Check>, string, string][])('are told with their unit: %p', (change, numbers, limits) => {
    expect(checkNumbers(check(change), mm)).toBe(numbers);
    expect(limitWords(check(change), mm)).toBe(limits);
  });

  it('are told in inches to those who think in them', () => {
    expect(checkNumbers(check(), lengthWords('in'))).toBe('7.8 / 7 in');
    expect(checkNumbers(check({ unit: 'mm2', actual: 6451.6, min: 12_903.2, max: null }), lengthWords('in'))).toBe(
      '10 / 20 sq in',
    );
  });

  it('name what went in, and what of it was not measured', () => {
    const grounds = {
      ...check().grounds,
      inputs: { carapaceWidthMm: 17.7, headCount: 12 },
      estimated: ['carapaceWidthMm'],
    };
    expect(inputWords(check({ grounds }), mm)).toBe('carapace width 18 mm (worked out, not measured), 12 heads');
  });

  it('are ordered and numbered worst first', () => {
    const list = [check({ rule: 'a', status: 'pass' }), check({ rule: 'b', status: 'watch' }), check({ rule: 'c' })];
    expect(worstFirst(list).map((each) => each.rule)).toEqual(['c', 'b', 'a']);
    expect(marksOf(list).map(({ check: each, number }) => [each.rule, number])).toEqual([
      ['c', 1],
      ['b', 2],
    ]);
  });

  it('say once what would have to be known', () => {
    const unknown = ['furniture', 'furniture', 'container.walls'].map((needs) => ({ rule: 'x', title: 'x', needs }));
    expect(notCheckedWords({ notChecked: unknown } as never)).toEqual(['what is in the box', 'what the walls are']);
  });
});

const names = { feeders: shippedFeeders, foods: shippedFoods };
const meal = (eats: JobMeal['eats'], dishes: Dish[], maxLengthMm?: number): Partial<Job> => ({
  meal: { eats, dishes, maxLengthMm, cautions: [] },
});
const prey = (dish: Dish, maxLengthMm: number) => meal('prey', [dish], maxLengthMm);

describe('jobs', () => {
  const job = (change: Partial<Job>): Job => ({
    kind: 'feed',
    dueOn: '2026-03-14',
    until: '2026-03-15',
    cannotWait: false,
    minutes: 2,
    reason: { code: 'since-last', days: 14, on: '2026-02-28' },
    ...change,
  });
  it.each([
    [prey({ food: 'field-cricket-large', count: 2, lengthMm: 20 }, 22.3), '2 large field crickets, up to 22 mm'],
    [prey({ food: 'fruit-fly-fly', count: 1, lengthMm: 2.5 }, 2.6), '1 small fruit fly, up to 2.5 mm'],
    [meal('prey', [], 12), 'Prey, up to 12 mm'],
    [meal('leaves', [{ food: 'bramble', count: 3, massG: 36 }]), 'Fresh: 3 cuttings of bramble'],
    [meal('leaves', []), 'Fresh leaves: none of its plants is in leaf'],
    [
      meal('greens', [
        { food: 'carrot', massG: 4.2 },
        { food: 'dried-shrimp', massG: 0.71 },
      ]),
      'a slice of carrot (4 g), 0.7 g of dried shrimp',
    ],
    [meal('litter', [{ food: 'fish-flakes', massG: 0.04 }]), 'a pinch of fish flakes'],
    [
      {
        meal: {
          eats: 'colony-food',
          dishes: [
            { food: 'sugar-water', volumeMl: 0.08 },
            { food: 'dubia-roach-small', count: 2, lengthMm: 8 },
          ],
          prepared: 'pre-killed',
          cautions: [],
        },
      },
      '0.08 mL of sugar water, 2 small spotted roaches, pre-killed',
    ],
    [{ kind: 'search' }, 'Search the old leaves, then throw them away'],
    [{ kind: 'soil', soil: { fromMm: 98, toMm: 119 } }, 'Raise the soil to 119 mm'],
    [{ kind: 'soil', soil: { fromMm: 98, toMm: 60 } }, 'Lower the soil to 60 mm'],
    [{ kind: 'mend' }, 'Put the box right'],
    [{ kind: 'rehouse' }, 'This box no longer fits'],
  ] as [Partial<Job>, string][])('%p', (change, title) =>
    expect(jobTitle(job(change), mm, names, celsius)).toBe(title),
  );

  it('round prey down: the limit is the largest that is safe', () => {
    expect([preyLimitMm(22.9), preyLimitMm(9.9), preyLimitMm(2.4)]).toEqual([22, 9.5, 2]);
  });

  it('say why they are due', () => {
    const today = '2026-03-14';
    expect(jobReason(job({}), today, [], celsius)).toBe('14 days since the last, 28 Feb');
    expect(jobReason(job({ reason: { code: 'after-refusal', days: 1, on: '2026-03-13' } }), today, [], celsius)).toBe(
      'refused 1 day ago: offer again',
    );
    const fails = job({ reason: { code: 'home-fails', rules: ['gap'] } });
    expect(jobReason(fails, today, [check()], celsius)).toBe('too far to fall');
  });

  it('say what to pour where, and why', () => {
    const today = '2026-03-14';
    const dries = {
      code: 'dries',
      by: 'weighed',
      since: '2026-03-12',
      dampWetness: 0.562,
      dampWetnessMin: 0.6,
    } as const;
    const damp = job({ kind: 'damp', water: { ml: 40, way: 'at-end' }, reason: dries });
    expect(jobTitle(damp, mm, names, celsius)).toBe('40 mL at the damp end');
    expect(jobTitle({ ...damp, water: { ml: 1250, way: 'throughout' } }, mm, names, celsius)).toBe(
      '1.3 L over all the soil',
    );
    expect(jobReason(damp, today, [], celsius)).toBe('damp end at 56 % of what it holds, wants 60 %; weighed Thursday');
    const dryAir = job({ kind: 'damp', reason: { code: 'dry-air', humidityPct: 48.3, minPct: 65, hours: 72 } });
    expect(jobReason(dryAir, today, [], celsius)).toBe('its air is at 48 % for 3 days, wants 65 %');
  });

  it('say what a probe complains of, in the keeper’s unit', () => {
    const alarm = { probe: 'B4 air', probeId: 'p', since: 0 };
    const warm = { ...alarm, kind: 'too-warm' as const, hours: 9, value: 31, limit: 29 };
    expect(alarmWords(warm, celsius)).toBe('B4 air: 31 C for 9 hours, limit 29 C');
    expect(alarmWords(warm, temperatureWords('F'))).toBe('B4 air: 87.8 F for 9 hours, limit 84.2 F');
    expect(alarmWords({ ...alarm, kind: 'silent', hours: 60 }, celsius)).toBe('B4 air: nothing for 3 days');
    const job_ = job({ kind: 'alarm', reason: { code: 'alarms', alarms: [{ ...alarm, kind: 'stuck', hours: 20 }] } });
    expect(jobTitle(job_, mm, names, celsius)).toBe('Look at the probe: it is stuck');
    expect(jobReason(job_, '2026-03-14', [], celsius)).toBe('B4 air: the very same value for 20 hours');
  });

  it('say why one is left alone', () => {
    const today = '2026-03-14';
    expect(leaveAloneWords({ code: 'hardening', feedFrom: '2026-03-20' }, today)).toBe('hardening, food from 20 Mar');
    const quiet = { code: 'premoult', signs: ['dull', 'dark'], since: '2026-03-13' } as const;
    expect(leaveAloneWords({ ...quiet, signs: [...quiet.signs], premoultPct: null, endsOn: '2026-04-02' }, today)).toBe(
      'dull and dark since yesterday, food again 2 Apr',
    );
    expect(leaveAloneWords({ ...quiet, signs: ['dull'], premoultPct: 71.6, endsOn: '2026-04-02' }, today)).toBe(
      'dull since yesterday, 72 % a moult is close, food again 2 Apr',
    );
  });
});

describe('days', () => {
  it.each([
    ['2026-03-14', 'today'],
    ['2026-03-13', 'yesterday'],
    ['2026-03-15', 'tomorrow'],
    ['2026-03-10', 'Tuesday'],
    ['2026-03-07', '7 Mar'],
    ['2025-12-31', '31 Dec 2025'],
  ])('%s is %s', (day, words) => expect(dayWords(day, '2026-03-14')).toBe(words));
  it('are counted', () =>
    expect([daysWords(1), daysWords(3), weekday('2026-03-14')]).toEqual(['1 day', '3 days', 'Saturday']));
});

describe('the log', () => {
  const entry = (kind: Entry['kind'], data: object = {}) =>
    entryWords({ kind, data } as Entry, mm, names, '2026-03-14');
  it('tells what was seen, with every measure and count', () => {
    expect(entry('taken-in', { stage: 'adult', headCount: 12 })).toBe('Taken in as adult, 12 of them');
    expect(entry('moulted', { legSpanMm: 118 })).toBe('Moulted, span 118 mm');
    expect(entry('measured', { bodyLengthMm: 24, headCount: 11 })).toBe('Measured, length 24 mm, 11 of them');
    expect(entry('offered', { preyCount: 2, preyLengthMm: 22 })).toBe('Offered 2 of 22 mm');
    expect(entry('offered')).toBe('Offered prey');
    expect(entry('soil-set', { substrateDepthMm: 119 })).toBe('Soil set to 119 mm');
    expect(entry('sign', { sign: 'sealed' })).toBe('Noticed: sealed in');
  });
});

describe('residents and boxes', () => {
  const resident = (change: Partial<Resident>) =>
    lifeWords({ sex: 'unknown', stage: 'adult', ...change } as Resident, mm);
  it('are told in a line', () => {
    expect(resident({ sex: 'female', legSpanMm: 118 })).toBe('female, adult, span 118 mm');
    expect(resident({ form: 'group', headCount: 12, bodyLengthMm: 60 })).toBe('12, adult, length 60 mm');
    // A colony has grown since somebody counted it.
    expect(resident({ form: 'colony', headCount: 620, bodyLengthMm: 8 })).toBe('620 counted, adult, length 8 mm');
    expect(resident({ form: 'group', headCount: 520 })).toBe('520 counted, adult');
    expect(resident({ form: 'colony', headCount: 0 })).toBe('adult');
    const container = { shape: 'cylinder', diameterMm: 45, heightMm: 80 } as Home['container'];
    expect(containerWords({ container }, mm)).toBe('round, 45 x 80 mm inside');
  });
  it('weigh and hold', () => {
    expect([litres(0.813), litres(4.44), litres(22.03)]).toEqual(['813 mL', '4.4 L', '22 L']);
    expect([kilograms(254), kilograms(6540)]).toEqual(['254 g', '6.5 kg']);
  });
});

describe('profiles', () => {
  it('say their rules, whatever these are measured by', () => {
    const rule = (profile: string, id: string) => {
      const found = profileOf(profile).fit.find((each) => each.id === id);
      if (!found) throw new Error(`${profile} has no rule ${id}.`);
      return found;
    };
    expect(ruleWords(rule('communal-assassin-bug', 'height'))).toBe('at least 200 mm');
    expect(ruleWords(rule('tree-tarantula', 'taller-than-wide'))).toBe(
      'at least longer side of the floor, to be watched from shorter side of the floor',
    );
    expect(ruleWords(rule('ant-leafcutter', 'empty-space'))).toBe('at least 50 %, to be watched from 25 %');
    expect(numbersOf(rule('isopod-temperate', 'crowd'))).toEqual([
      { key: 'min.times', label: 'at least, times squares of the body length', value: 0.6 },
      { key: 'watchMin.times', label: 'to be watched from, times squares of the body length', value: 0.4 },
    ]);
  });
  it('stand under their headings in the order in which they come', () => {
    const groups = byGroup([{ group: 'a' }, { group: 'b' }, { group: 'a' }]);
    expect(groups.map(({ group, members }) => [group, members.length])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
  });
});
