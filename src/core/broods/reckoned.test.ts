import { shippedEggs, shippedMoths } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { addDays } from '@/core/measure/day';
import { inLines } from '@/core/testing/inLines';
import { refusalOf } from '@/core/testing/refusalOf';
import type { EggKind } from './eggs';
import { meeting, type Cocoon, type MothKind } from './emergence';
import { hatchForecast, type HatchQuestion } from './hatch';
import { rearedAfter } from './reared';
import { surplusPlan } from './surplus';

/*
 * Answers as they were when they were last looked over, of questions that each go another way: a change of the model shows
 * here, and is looked over again. What they should be like is said in `broods.test.ts`.
 */
const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const eggsOf = (profile: string) => shippedEggs.find((each) => each.profiles.includes(profile)) as EggKind;
const STICK = eggsOf('stick-insect');
const COLD = eggsOf('moth-cold-egg');

describe('the hatching, as it was reckoned', () => {
  const asked = (change: Partial<HatchQuestion>): HatchQuestion => ({
    ...{ kind: STICK, eggs: 100, laidFrom: ago(0), mating: 'mated', temperatureC: 22, asOf: TODAY },
    ...change,
  });
  it.each<[string, Partial<HatchQuestion>]>([
    ['eggs of today', {}],
    ['a handful, laid over weeks', { eggs: 4, laidFrom: ago(120), laidTo: ago(80), mating: 'unmated' }],
    ['old ones, of which most are out or dead', { laidFrom: ago(190) }],
    ['older ones than any', { laidFrom: ago(900) }],
    ['of a mother of whom nobody knows', { laidFrom: ago(200), mating: 'unknown' }],
    [
      'of a kind that hatches only where there was a male, nobody knows',
      { kind: eggsOf('mantis') ?? STICK, mating: 'unknown' },
    ],
    ['that were cold', { kind: COLD, laidFrom: ago(200), warmSince: ago(5), temperatureC: 21 }],
    ['in the cold', { temperatureC: 9 }],
  ])('%s', (_, change) => {
    const { weeks, ...rest } = hatchForecast(asked(change));
    const few = weeks.filter((week, index) => index % 6 === 0 || week.median > 8).slice(0, 6);
    expect(inLines({ ...rest, weeks: weeks.length, few })).toMatchSnapshot();
  });

  it('is refused at the day that cannot be', () => {
    const fieldOf = (change: Partial<HatchQuestion>) => refusalOf(() => hatchForecast(asked(change))).fields[0]?.path;
    expect(fieldOf({ laidFrom: addDays(TODAY, 1) })).toBe('laidFrom');
    expect(fieldOf({ laidTo: ago(1) })).toBe('laidTo');
    expect(fieldOf({ kind: COLD })).toBe('warmSince');
    expect(fieldOf({ kind: COLD, laidFrom: ago(9), warmSince: ago(10) })).toBe('warmSince');
    expect(() => hatchForecast(asked({ kind: COLD, laidFrom: ago(9), warmSince: ago(9) }))).not.toThrow();
  });
});

describe('the meeting, as it was reckoned', () => {
  const kind = shippedMoths.find((each) => each.profiles.includes('moth-tropical')) as MothKind;
  const cocoon = (sex: Cocoon['sex'], daysAgo: number, count: number): Cocoon => ({
    ...{ id: `${sex} ${daysAgo}`, sex, count, on: ago(daysAgo) },
  });
  it.each<[string, Cocoon[], number]>([
    ['of one day', [cocoon('female', 10, 3), cocoon('male', 10, 3)], 25],
    ['of females weeks before', [cocoon('female', 28, 2), cocoon('male', 3, 2)], 25],
    ['of males weeks before', [cocoon('male', 28, 2), cocoon('female', 3, 2)], 24],
    ['of nobody knows which', [cocoon('unknown', 12, 5), cocoon('unknown', 0, 3)], 26],
    ['of males alone', [cocoon('male', 5, 2)], 25],
    ['of one that is late', [cocoon('female', 60, 1), cocoon('male', 40, 2)], 22],
  ])('%s', (_, cocoons, temperatureC) => {
    expect(inLines(meeting({ kind, cocoons, temperatureC, asOf: TODAY }))).toMatchSnapshot();
  });
});

describe('the reared, as they were reckoned', () => {
  it.each(['stick-insect', 'mantis', 'ground-tarantula', 'isopod-temperate', 'leaf-insect'])('of %s', (id) => {
    const after = [-1, 0, 13, 15, 40, 90, 200, 700].map((days) =>
      rearedAfter(
        profileOf(id),
        [
          { count: 60, daysBefore: days },
          { count: 0, daysBefore: 900 },
        ],
        3,
        25,
      ),
    );
    expect(inLines(after)).toMatchSnapshot();
  });
});

describe('the surplus, as it was reckoned', () => {
  const expected = { median: 40, p90: 55 };
  const { feedOff } = STICK;
  it('of every wish', () => {
    const wishes = [
      { keep: 10, passOn: 5, feedOff: 8 },
      { keep: 0, passOn: 0, feedOff: 0 },
      { keep: 90, passOn: 0, feedOff: 5 },
    ];
    expect(wishes.map((wish) => surplusPlan({ feedOff }, 70, expected, wish))).toMatchSnapshot();
    expect(surplusPlan({ feedOff }, 70, { median: 0, p90: 2 }, { keep: 4, passOn: 0, feedOff: 0 })).toMatchSnapshot();
    // Nothing is fed off: that it would harm is no matter.
    const unsafe = { feedOff: { isSafe: false, why: 'They sting.' } };
    expect(surplusPlan(unsafe, 70, expected, { keep: 4, passOn: 0, feedOff: 0 }).placed).toBe(4);
  });
});
