import { profileOf } from '@/contract/testing/profileOf';
import { ago, container, entry, fed, kinds, LARDER, TODAY, work } from '@/contract/testing/spiderToday';
import type { WateringDue } from '@/core/climate/watering';
import type { Container } from '@/core/housing/container';
import { shippedRests } from '@/contract/shipped';
import { addDays } from '@/core/measure/day';
import { restPlan, type RestingKind } from '@/core/season/rest';
import { restCourse } from '@/core/season/restCourse';
import type { LogEntry, ResidentToday } from './work';

describe('feeding', () => {
  // Common practice, no source: communal assassin bugs are offered one prey each, weekly.
  it('offers a group one for each', () => {
    const gang = { profile: profileOf('communal-assassin-bug'), legSpanMm: undefined, bodyLengthMm: 24, headCount: 12 };
    const feed = work(fed(8), gang).jobs.find((job) => job.kind === 'feed');
    expect(feed?.meal).toMatchObject({ eats: 'prey', maxLengthMm: 12 });
    expect((feed?.meal?.dishes[0]?.count ?? 0) % 12).toBe(0);
  });

  // Common practice, no source: cuttings changed weekly in summer, every two weeks in winter; between them in March.
  it('changes leaves by the season, and has the old ones searched before they go out', () => {
    const hedge = {
      ...{ profile: profileOf('stick-insect'), legSpanMm: undefined, bodyLengthMm: 60, headCount: 12 },
      stage: 'nymph' as const,
    };
    const changed = (daysAgo: number) => [entry('offered', daysAgo), entry('searched', daysAgo)];
    expect(kinds(changed(9), hedge)).not.toContain('feed');
    expect(work(changed(11), hedge).jobs.find((job) => job.kind === 'feed')?.meal?.eats).toBe('leaves');
    const fresh = work([...changed(11), entry('offered', 0)], hedge);
    expect(fresh.jobs.find((job) => job.kind === 'search')).toMatchObject({ cannotWait: true, dueOn: TODAY });
    const [offered, searched] = [entry('offered', 0), entry('searched', 0)];
    const done = work([...changed(11), offered, searched], hedge).jobs;
    expect(done.find((job) => job.kind === 'search')?.doneBy).toBe(searched.id);
  });

  // Common practice, no source: what is left of fresh food comes out within a day, then two days without.
  it('lets those on litter rest after a portion, and clears what is left by the school', () => {
    const swifts = { profile: profileOf('isopod-temperate'), legSpanMm: undefined, headCount: 500 };
    const meals = (daysAgo: number, outcomeAgo: number | null): ResidentToday['meals'] => [
      {
        on: ago(daysAgo),
        dishes: [{ food: 'carrot', massG: 2 }],
        outcome: outcomeAgo === null ? null : { kind: 'refused', on: ago(outcomeAgo) },
      },
    ];
    const offered = [entry('offered', 7), entry('refused', 1)];
    expect(kinds(offered, { ...swifts, meals: meals(7, 1) })).not.toContain('feed');
    expect(kinds([entry('offered', 7), entry('refused', 2)], { ...swifts, meals: meals(7, 2) })).toContain('feed');
    const yesterday = [entry('offered', 1)];
    expect(kinds(yesterday, { ...swifts, meals: meals(1, null) })).toContain('leftovers');
    const dry = { ...swifts, schools: { 'litter-food': 'prepared-food' }, meals: meals(1, null) };
    expect(kinds(yesterday, dry)).not.toContain('leftovers');
  });

  // Common practice, no source: a queen that has sealed herself in is not fed until her first workers.
  it('is not asked of a founding queen, and is of her colony', () => {
    const ants = { profile: profileOf('ant-small-temperate'), legSpanMm: undefined, larder: LARDER };
    const founding = { since: ago(9), endsOn: addDays(TODAY, 40), isSealed: true };
    const queen = { ...ants, headCount: 0, founding };
    expect(kinds([], queen)).toEqual([]);
    const { since, endsOn } = founding;
    expect(work([], queen).leaveAlone).toEqual({ code: 'founding', since, endsOn });
    // Every fortnight it is seen, through the glass, that she has water.
    const longer = { ...queen, founding: { ...founding, since: ago(15) } };
    expect(kinds([], longer)).toEqual(['look']);
    expect(kinds([entry('looked', 3)], longer)).toEqual([]);
    // From the day on by which nine of ten have workers it is looked for those, once a week.
    const late = { ...queen, founding: { since: ago(90), endsOn: ago(8), isSealed: true } };
    expect(work([entry('looked', 7)], late).jobs[0]).toMatchObject({ kind: 'look', reason: { code: 'founding' } });
    expect(kinds([entry('looked', 6)], late)).toEqual([]);
    // One that goes out to feed is given food, and her nest is not opened either.
    expect(kinds([], { ...queen, founding: { ...founding, isSealed: false } })).toEqual(['feed']);
    expect(kinds([], { ...ants, headCount: 20 })).toContain('feed');
  });

  it('after a moult is small and short, until something was eaten again', () => {
    const log = [...fed(60), entry('moulted', 20)];
    const meal = work(log, { larder: LARDER }).jobs.find((job) => job.kind === 'feed')?.meal;
    expect(meal?.cautions).toContain('first-after-quiet');
    expect(meal?.maxLengthMm).toBeCloseTo((22.302 * 2) / 3, 2);
    const again = work([...log, ...fed(15)], { larder: LARDER }).jobs.find((job) => job.kind === 'feed')?.meal;
    expect(again?.cautions).toEqual([]);
    expect(again?.maxLengthMm).toBeCloseTo(22.302, 2);
  });

  // Common practice, no source: spiderlings twice a week, juveniles weekly, adults every two weeks, or monthly.
  it.each([
    ['spiderling', 12, 'small-and-often', 3],
    ['juvenile', 60, 'small-and-often', 7],
    ['adult', 118, 'small-and-often', 14],
    ['adult', 118, 'large-and-rarely', 30],
  ] as const)('a %s of %d mm kept %s is due after %d days', (stage, legSpanMm, school, days) => {
    const asked = { stage, legSpanMm, schools: { feeding: school } };
    expect(kinds(fed(days), asked)).toContain('feed');
    expect(kinds(fed(days - 1), asked)).not.toContain('feed');
  });

  it('sizes the prey by the abdomen and says why it is due', () => {
    // From memory: body 0.42 of the span, abdomen 0.45 of the body: 118 mm of span carry 22.3 mm of abdomen.
    const [job] = work(fed(14)).jobs;
    expect(job).toMatchObject({
      kind: 'feed',
      dueOn: TODAY,
      cannotWait: false,
      reason: { code: 'since-last', days: 14, on: ago(14) },
      meal: { eats: 'prey', maxLengthMm: expect.closeTo(22.302, 3) },
    });
  });

  it('cannot wait once it is later than the tolerance', () => {
    expect(work(fed(24)).jobs[0]).toMatchObject({ kind: 'feed', cannotWait: false });
    expect(work(fed(25)).jobs[0]).toMatchObject({ kind: 'feed', cannotWait: true });
  });

  it('is offered again a week after a refusal, also to those fed more often', () => {
    const refused = (daysAgo: number) => [entry('offered', daysAgo), entry('refused', daysAgo - 1)];
    const juvenile = { stage: 'spiderling' as const, legSpanMm: 20 };
    expect(kinds(refused(6), juvenile)).not.toContain('feed');
    expect(work(refused(7), juvenile).jobs.find((job) => job.kind === 'feed')?.reason).toEqual({
      code: 'after-refusal',
      days: 7,
      on: ago(7),
    });
  });

  it('waits until a newcomer has settled', () => {
    const arrived = (daysAgo: number) => ({ log: [entry('taken-in', daysAgo), entry('watered', 0)] });
    expect(kinds([], arrived(4))).not.toContain('feed');
    expect(kinds([], arrived(5))).toContain('feed');
    expect(kinds([...fed(20), entry('moved', 2)])).not.toContain('feed');
  });

  it('stays in the list when it was done today, with the entry that did it and what was given', () => {
    const dishes = [{ food: 'field-cricket-adult', count: 1, lengthMm: 26, massG: 0.86 }];
    const given = work([...fed(15), entry('offered', 0, { dishes })], { larder: LARDER }).jobs[0];
    expect(given?.meal?.dishes).toEqual(dishes);
    const done = entry('offered', 0);
    expect(work([...fed(15), done]).jobs[0]).toMatchObject({ kind: 'feed', doneBy: done.id });
  });
});

describe('leaving alone', () => {
  it('nothing is fed and no home is touched while signs of a moult stand; leftovers still come out', () => {
    const low = { home: { container, substrateDepthMm: 98 } };
    const log = [entry('offered', 20), entry('sign', 6, { sign: 'dark' })];
    const quiet = { code: 'premoult', signs: ['dark'], since: ago(6), premoultPct: null, endsOn: addDays(TODAY, 54) };
    expect(work(log, low).leaveAlone).toEqual(quiet);
    expect(kinds(log, low)).toEqual(['prey-out']);
    // What was offered today comes out as well: it bites a soft one.
    expect(kinds([entry('sign', 6, { sign: 'dark' }), entry('offered', 0)])).toContain('prey-out');
    expect(kinds([entry('offered', 0)])).not.toContain('leftovers');
  });

  it('begins by the odds of a close moult, shows the day it ends, and gives up signs that came to nothing', () => {
    const refused = [entry('offered', 9), entry('refused', 8)];
    const outlook = (premoultPct: number) => ({
      outlooks: [
        {
          asOf: ago(61),
          premoultPct,
          byNextOfferPct: premoultPct,
          medianOn: addDays(TODAY, 12),
          closeDays: 30,
          signs: ['refused-food' as const],
        },
      ],
    });
    expect(work(refused, outlook(49)).leaveAlone).toBeNull();
    const likely = work(refused, outlook(75)).leaveAlone;
    // Ten days of rest after the moult for an adult of 118 mm.
    expect(likely).toMatchObject({ code: 'premoult', since: ago(8), premoultPct: 75, endsOn: addDays(TODAY, 22) });
    expect(kinds(refused, outlook(75))).toEqual([]);
    const sign = (daysAgo: number) => [entry('sign', daysAgo, { sign: 'dull' })];
    expect(work(sign(20), outlook(25)).leaveAlone).toMatchObject({ endsOn: addDays(TODAY, 40) });
    expect(work(sign(61), outlook(25)).leaveAlone).toBeNull();
  });

  it('ends with a moult or a meal', () => {
    const sign = entry('sign', 20, { sign: 'dark' });
    expect(work([...fed(40), sign]).leaveAlone).not.toBeNull();
    expect(work([sign, ...fed(15)]).leaveAlone).toBeNull();
    expect(work([sign, entry('moulted', 15)]).leaveAlone).toBeNull();
  });

  it('is not for every sign: one refused meal is no moult', () => {
    expect(work([entry('sign', 1, { sign: 'refused-food' })]).leaveAlone).toBeNull();
  });

  // Common practice, no source: fed again after 7-10 days; from memory: spiderlings 3-5, the largest 14.
  it.each([
    ['spiderling', 12, 5],
    ['juvenile', 60, 7],
    ['adult', 118, 10],
    ['adult', 170, 14],
  ] as const)('a moulted %s of %d mm rests %d days', (stage, legSpanMm, days) => {
    const asked = { stage, legSpanMm };
    expect(work([...fed(60), entry('moulted', days - 1)], asked).leaveAlone).toEqual({
      code: 'hardening',
      feedFrom: addDays(TODAY, 1),
    });
    expect(work([...fed(60), entry('moulted', days)], asked).leaveAlone).toBeNull();
  });
});

describe('leftovers', () => {
  it('are looked for the day after, until an answer is written down', () => {
    expect(kinds([entry('offered', 0)])).not.toContain('leftovers');
    expect(work([entry('offered', 1)]).jobs[0]).toMatchObject({ kind: 'leftovers', cannotWait: true, dueOn: TODAY });
    expect(kinds([entry('offered', 3)])).toContain('leftovers');
    expect(kinds([entry('offered', 3), entry('eaten', 1)])).not.toContain('leftovers');
    const outcome = entry('refused', 0);
    expect(work([entry('offered', 1), outcome]).jobs[0]).toMatchObject({ kind: 'leftovers', doneBy: outcome.id });
  });
});

describe('the home', () => {
  it('asks for the soil that mends it', () => {
    const [job] = work([...fed(3)], { home: { container, substrateDepthMm: 98 } }).jobs;
    expect(job).toMatchObject({
      kind: 'soil',
      cannotWait: true,
      soil: { fromMm: 98, toMm: 119 },
      reason: { code: 'home-fails', rules: ['gap'] },
    });
  });

  it('asks for another box where soil does not help', () => {
    const [job] = work([...fed(3)], { legSpanMm: 150 }).jobs;
    expect(job).toMatchObject({ kind: 'rehouse', reason: { code: 'home-fails', rules: ['floor-width'] } });
  });

  it('gives water weekly to those with a dish, and mists those that drink from leaves', () => {
    const dry = (days: number) => ({
      log: [entry('taken-in', 200), entry('cleaned', 1), entry('watered', days), ...fed(2)],
    });
    expect(kinds([], dry(6))).toEqual([]);
    expect(kinds([], dry(7))).toEqual(['water']);
    const leaf = { profile: profileOf('leaf-insect'), legSpanMm: undefined, bodyLengthMm: 58, stage: 'nymph' as const };
    const log = [entry('taken-in', 200), entry('misted', 1)];
    expect(kinds([], { ...leaf, log })).toContain('mist');
    const misted = entry('misted', 0);
    const job = work([], { ...leaf, log: [...log, misted] }).jobs.find((each) => each.kind === 'mist');
    expect(job?.doneBy).toBe(misted.id);
  });
});

describe('damp soil', () => {
  const outlook = (change: Partial<WateringDue> = {}): WateringDue => ({
    dueOn: TODAY,
    waterMl: 43,
    holdsDays: 28,
    dampWetness: 0.39,
    dampWetnessMin: 0.4,
    by: 'damped',
    since: ago(28),
    way: 'at-end',
    ...change,
  });
  const damp = (watering: WateringDue | null, log: LogEntry[] = []) =>
    work([...fed(2), ...log], { watering }).jobs.find((job) => job.kind === 'damp');

  it('is watered on the day its forecast names, with what it takes and where', () => {
    expect(damp(outlook())).toEqual({
      kind: 'damp',
      dueOn: TODAY,
      until: ago(-2),
      cannotWait: false,
      minutes: 1,
      reason: { code: 'dries', by: 'damped', since: ago(28), dampWetness: 0.39, dampWetnessMin: 0.4 },
      water: { ml: 45, way: 'at-end' },
    });
    expect(damp(outlook({ dueOn: addDays(TODAY, 1) }))).toBeUndefined();
    expect(damp(outlook({ dueOn: null }))).toBeUndefined();
    expect(damp(null)).toBeUndefined();
  });

  it('cannot wait when it is late or its air too dry, and shows what was done today', () => {
    expect(damp(outlook({ dueOn: ago(3) }))).toMatchObject({ cannotWait: true });
    const dryAir = { humidityPct: 48, hours: 80, minPct: 65 };
    expect(damp(outlook({ by: 'dry-air', dryAir }))).toMatchObject({
      cannotWait: true,
      reason: { code: 'dry-air', humidityPct: 48, minPct: 65, hours: 80 },
    });
    const done = entry('damped', 0);
    expect(damp(outlook(), [done])).toMatchObject({ doneBy: done.id });
  });

  it('is not left to dry while the animal is left alone', () => {
    const quiet = work([entry('sign', 2, { sign: 'dark' })], { watering: outlook() });
    expect(quiet.leaveAlone).not.toBeNull();
    expect(quiet.jobs.map((job) => job.kind)).toContain('damp');
  });
});

describe('probes that cry', () => {
  const alarm = { kind: 'too-dry' as const, since: 0, hours: 80, value: 48, limit: 65, probe: 'C2', probeId: 'p1' };
  it('send somebody to look, at once', () => {
    const [job] = work(fed(2), { alarms: [{ ...alarm, kind: 'silent' }] }).jobs;
    expect(job).toMatchObject({ kind: 'alarm', cannotWait: true, reason: { code: 'alarms' } });
    const looked = entry('looked', 0);
    expect(work([...fed(2), looked], { alarms: [alarm] }).jobs[0]).toMatchObject({ kind: 'alarm', doneBy: looked.id });
  });
  it('of dry air are answered by the damping, where there is one', () => {
    const dryAir = { humidityPct: 48, hours: 80, minPct: 65 };
    const watering = { dueOn: TODAY, waterMl: 40, dampWetness: 0.5, dampWetnessMin: 0.4, by: 'dry-air', since: ago(3) };
    const both = { ...watering, way: 'at-end', dryAir } as WateringDue;
    expect(kinds(fed(2), { alarms: [alarm], watering: both })).toEqual(['damp']);
    expect(kinds(fed(2), { alarms: [alarm], watering: null })).toEqual(['alarm']);
  });
});

describe('a home that fails', () => {
  it('is mended where it stands, filled anew, or left for another', () => {
    const caterpillars = {
      profile: profileOf('moth-tropical'),
      stage: 'larva' as const,
      legSpanMm: undefined,
      bodyLengthMm: 40,
      headCount: 5,
    };
    const net: Container = { ...container, walls: 'mesh', lid: 'mesh' };
    const at = (home: ResidentToday['home']) => kinds([], { ...caterpillars, home }).filter((kind) => kind !== 'feed');
    expect(at({ container: net, substrateDepthMm: 0, furniture: [{ kind: 'bottle' }, { kind: 'branch' }] })).toEqual([
      'mend',
    ]);
    expect(at({ container: net, substrateDepthMm: 0, furniture: [{ kind: 'branch' }] })).toEqual([]);
    expect(kinds([...fed(2)], { home: { container, substrateDepthMm: 98 } })).toEqual(['soil']);
    const narrow = { container: { ...container, widthMm: 150 } as Container, substrateDepthMm: 130 };
    expect(kinds([...fed(2)], { home: narrow })).toEqual(['rehouse']);
  });

  it('keeps the slope of its soil when it is raised', () => {
    const sloped = { container, substrateDepthMm: 98, soil: { shape: 'slope', frontMm: 108, backMm: 88 } as const };
    const [job] = work([...fed(2)], { home: sloped }).jobs;
    // The lowest place, 10 mm under the mean, leaves 177 mm to the lid.
    expect(job).toMatchObject({ kind: 'soil', soil: { fromMm: 98, toMm: 129 } });
  });
});

describe('a winter rest', () => {
  const kind = shippedRests.find((each) => each.profiles.includes('ant-small-temperate')) as RestingKind;
  // Its season in the south: the same months as the days here.
  const plan = restPlan({ kind, hemisphere: 'south', asOf: ago(30), startOn: ago(12), roomC: 22, placeC: 6 });
  const ants = (done: [string, number][], change: Partial<ResidentToday> = {}): ReturnType<typeof work> => {
    const days = new Map(done.map(([key, daysAgo]) => [key, ago(daysAgo)]));
    const log = done.map(([step, daysAgo]) => entry('rest-step', daysAgo, { step }));
    const rest = { id: 'plan', course: restCourse(plan, kind, days, TODAY), alarms: [], places: [], ...change.rest };
    const colony = { profile: profileOf('ant-small-temperate'), legSpanMm: undefined, headCount: 120 };
    return work(log, { ...colony, ...change, rest });
  };

  it('stops its food with the last meal, and is all that is done once it is cooled', () => {
    const hungry = ants([]);
    expect(hungry.jobs.map((job) => job.kind)).toContain('feed');
    expect(hungry.jobs.find((job) => job.kind === 'rest')?.rest).toMatchObject({ what: 'feed-well' });
    expect(ants([['last-food-1', 3]]).jobs.map((job) => job.kind)).not.toContain('feed');
    const cooling = ants([
      ['count-1', 12],
      ['cool-1', 4],
    ]);
    expect(cooling.leaveAlone).toMatchObject({ code: 'resting', since: ago(4) });
    expect(cooling.jobs).toMatchObject([{ kind: 'rest', rest: { what: 'cool', key: 'cool-2' } }]);
  });

  it('shows the step that was done today as done, and the alarm of its place first', () => {
    const today = ants([
      ['count-1', 12],
      ['cool-1', 0],
    ]);
    expect(today.jobs).toMatchObject([{ kind: 'rest', rest: { key: 'cool-1' }, doneBy: expect.any(String) }]);
    const alarm = { kind: 'too-warm' as const, since: 0, hours: 20, probe: 'Cellar', probeId: 'p' };
    const course = restCourse(plan, kind, new Map([['cool-1', ago(4)]]), TODAY);
    const warm = ants([], { rest: { id: 'plan', course, alarms: [alarm], places: [] } });
    expect(warm.jobs.map((job) => job.kind)).toEqual(['alarm', 'rest']);
  });
});
