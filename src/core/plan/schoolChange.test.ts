import { profileOf } from '@/contract/testing/profileOf';
import { container, entry, fed, LARDER, TODAY } from '@/contract/testing/spiderToday';
import { contradictionsOf, keptBy, schoolChange } from './schoolChange';
import type { ResidentToday } from './work';

const spider = (profile: string, schools: ResidentToday['schools'] = {}): ResidentToday => ({
  profile: profileOf(profile),
  stage: 'adult',
  legSpanMm: 118,
  home: { container, substrateDepthMm: 130 },
  larder: LARDER,
  schools,
  log: [entry('taken-in', 200), entry('watered', 1), entry('cleaned', 1), ...fed(3)],
});

describe('what flipping a school changes', () => {
  it('halves the meals of a year for large and rarely, and says the next meal of both', () => {
    const change = schoolChange(
      spider('ground-tarantula'),
      keptBy(spider('ground-tarantula'), 'feeding', 'large-and-rarely'),
      TODAY,
    );
    const meals = change.work.find(({ kind }) => kind === 'feed');
    // Every 14 days against every 30, by the profile.
    expect(meals?.timesBefore).toBeGreaterThan(1.6 * (meals?.timesAfter ?? 0));
    expect(change.minutesAfter).toBeLessThan(change.minutesBefore);
    expect(change.meal?.before?.everyDays).toBe(14);
    expect(change.meal?.after?.everyDays).toBe(30);
  });

  it('brings mistings with misting to a number', () => {
    const tree = spider('tree-tarantula');
    const { work } = schoolChange(tree, keptBy(tree, 'air', 'mist-to-a-number'), TODAY);
    const mist = work.find(({ kind }) => kind === 'mist');
    expect(mist).toMatchObject({ timesBefore: 0 });
    expect(mist?.timesAfter).toBeGreaterThan(100);
  });

  it('is nothing where the same school is kept, and the other way round when it is flipped back', () => {
    const one = spider('ground-tarantula', { feeding: 'small-and-often' });
    expect(schoolChange(one, keptBy(one, 'feeding', 'small-and-often'), TODAY)).toMatchObject({
      ...{ work: [], checks: [], meal: null },
    });
    const other = keptBy(one, 'feeding', 'large-and-rarely');
    const [there, back] = [schoolChange(one, other, TODAY), schoolChange(other, one, TODAY)];
    expect(back.work).toEqual(
      there.work.map(({ kind, timesBefore, timesAfter }) => ({
        kind,
        timesBefore: timesAfter,
        timesAfter: timesBefore,
      })),
    );
    expect([back.minutesBefore, back.minutesAfter]).toEqual([there.minutesAfter, there.minutesBefore]);
  });

  it('tells two schools that pull one animal in different directions, and keeps both', () => {
    const both = spider('ground-tarantula', { aim: 'grow-on', feeding: 'large-and-rarely' });
    expect(contradictionsOf(both).map(({ schools }) => schools)).toEqual([['grow-on', 'large-and-rarely']]);
    expect(both.schools).toEqual({ aim: 'grow-on', feeding: 'large-and-rarely' });
    expect(contradictionsOf(spider('ground-tarantula'))).toEqual([]);
  });
});
