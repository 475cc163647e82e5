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
    expect(change.meal?.before?.everyDays).toBeGreaterThan(10);
    expect(change.meal?.before?.everyDays).toBeLessThanOrEqual(14);
    expect(change.meal?.after?.everyDays).toBe(30);
  });

  it('brings mistings with misting to a number', () => {
    const tree = spider('tree-tarantula');
    const { work } = schoolChange(tree, keptBy(tree, 'air', 'mist-to-a-number'), TODAY);
    const mist = work.find(({ kind }) => kind === 'mist');
    expect(mist).toMatchObject({ timesBefore: 0 });
    expect(mist?.timesAfter).toBeGreaterThan(100);
  });

  it('says what a new box would be cut, how its air then changes, and leaves the work alone', () => {
    const one = spider('ground-tarantula');
    const { openings, work, checks } = schoolChange(one, keptBy(one, 'openings', 'one-cut-out'), TODAY);
    expect([openings?.before.kind, openings?.after.kind]).toEqual(['holes', 'mesh-holes']);
    // Both are made for the same share of the floor: more air only by the roundness of whole openings.
    const share = profileOf('ground-tarantula').making.vents.openSharePct;
    for (const each of [openings?.before, openings?.after]) {
      expect(each?.openSharePct).toBeGreaterThanOrEqual(share);
      expect(each?.airChangesPerHour).toBeGreaterThan(profileOf('ground-tarantula').climate.airChangesPerHour.value);
    }
    expect([work, checks]).toEqual([[], []]);
    const nobody = { ...spider('stick-insect'), bodyLengthMm: 80 };
    expect(schoolChange(nobody, keptBy(nobody, 'openings', 'one-cut-out'), TODAY).openings).toBeNull();
  });

  it('is nothing where the same school is kept, and the other way round when it is flipped back', () => {
    const one = spider('ground-tarantula', { feeding: 'small-and-often' });
    expect(schoolChange(one, keptBy(one, 'feeding', 'small-and-often'), TODAY)).toMatchObject({
      ...{ work: [], checks: [], meal: null, openings: null },
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
    expect(contradictionsOf(both)).toEqual(['hungry-between']);
    expect(both.schools).toEqual({ aim: 'grow-on', feeding: 'large-and-rarely' });
    expect(contradictionsOf(spider('ground-tarantula'))).toEqual([]);
  });
});
