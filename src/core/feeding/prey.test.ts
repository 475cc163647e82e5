import fc from 'fast-check';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import type { Schools } from '@/core/profiles/schools';
import { refusalOf } from '@/core/testing/refusalOf';
import { preyOf, whyNot } from './food';
import { CONDITIONS, preyPlan, type PreyQuestion } from './prey';

const FEEDERS = preyOf(shippedFeeders);
const CRICKETS = FEEDERS.filter((each) => each.kindId === 'field-cricket');
const GROUND = profileOf('ground-tarantula');
const adult = (change: Partial<PreyQuestion> = {}): PreyQuestion => ({
  ...{ profile: GROUND, stage: 'adult', legSpanMm: 118, feeders: CRICKETS },
  ...change,
});
const offered = (question: PreyQuestion) => preyPlan(question).offers[0];

describe('prey for one animal', () => {
  // Common practice, no source: a grown ground tarantula gets two large crickets every two weeks.
  it('of a grown ground tarantula is about two large crickets in two weeks', () => {
    const plan = preyPlan(adult());
    expect(plan.everyDays).toBe(14);
    expect(plan.offers).toEqual([
      { feeder: 'field-cricket-large', count: expect.any(Number), lengthMm: 20, massG: 0.39 },
    ]);
    expect(plan.offers[0]?.count).toBeGreaterThanOrEqual(2);
    expect(plan.offers[0]?.count).toBeLessThanOrEqual(4);
    // From memory: body 0.42 of the span, abdomen 0.45 of the body.
    expect(plan.maxLengthMm).toBeCloseTo(118 * 0.42 * 0.45, 6);
  });

  // Common practice, no source: four or five crickets a week for a grown tree tarantula.
  it('of a grown tree tarantula is four or five crickets a week', () => {
    const tree = adult({ profile: profileOf('tree-tarantula'), legSpanMm: 110 });
    const { offers, everyDays } = preyPlan({ ...tree, feeders: [{ id: 'c', lengthMm: 18, massG: 0.22 }] });
    const weekly = ((offers[0]?.count ?? 0) * 7) / everyDays;
    expect(weekly).toBeGreaterThanOrEqual(4);
    expect(weekly).toBeLessThanOrEqual(5);
  });

  // Common practice, no source: assassin bugs get prey of about half their own size, weekly, one each.
  it('of a group is one for each, of about half its body, about weekly', () => {
    for (const bodyLengthMm of [14, 20, 24, 30, 34]) {
      const bugs = { profile: profileOf('communal-assassin-bug'), bodyLengthMm, legSpanMm: undefined, headCount: 12 };
      const plan = preyPlan(adult({ ...bugs, stage: bodyLengthMm < 28 ? 'nymph' : 'adult' }));
      expect(plan.offers).toMatchObject([{ count: 12 }]);
      expect((plan.offers[0]?.lengthMm ?? 0) / bodyLengthMm).toBeGreaterThan(0.35);
      expect((plan.offers[0]?.lengthMm ?? 0) / bodyLengthMm).toBeLessThanOrEqual(0.5);
      expect(plan.everyDays).toBeGreaterThanOrEqual(3.5);
      expect(plan.everyDays).toBeLessThanOrEqual(14);
    }
  });

  // Common practice, no source: about five flies, twice a week, for a jumping spider.
  it('is more than three only of flies and springtails', () => {
    const flies = FEEDERS.filter(({ kindId }) => kindId === 'fruit-fly');
    const jumper = adult({ profile: profileOf('jumping-spider'), legSpanMm: undefined, feeders: flies });
    const plan = preyPlan({ ...jumper, stage: 'juvenile', bodyLengthMm: 9 });
    expect(plan.offers[0]?.count).toBeGreaterThanOrEqual(3);
    expect(plan.offers[0]?.count).toBeLessThanOrEqual(8);
    expect(plan.everyDays).toBeGreaterThanOrEqual(3.5);
  });

  it('is not what digs in before it is seen, where anything else will do', () => {
    const mantis = adult({ profile: profileOf('mantis'), legSpanMm: undefined, feeders: FEEDERS });
    for (const bodyLengthMm of [30, 40, 50, 60, 75]) {
      const chosen = offered({ ...mantis, stage: 'juvenile', bodyLengthMm })?.feeder;
      expect(chosen).not.toMatch(/^mealworm/);
    }
  });

  it('takes the schools: the same ration, in larger meals farther apart', () => {
    const rarely = preyPlan(adult({ school: 'large-and-rarely' }));
    const often = preyPlan(adult());
    expect(rarely.everyDays).toBe(30);
    expect((rarely.mealG ?? 0) / 30).toBeCloseTo((often.mealG ?? 0) / 14, 9);
  });

  it('grows young ones on, and never those that are grown', () => {
    const young = adult({ stage: 'juvenile', legSpanMm: 60 });
    const times = (preyPlan({ ...young, aim: 'grow-on' }).mealG ?? 0) / (preyPlan(young).mealG ?? 1);
    expect(times).toBeCloseTo(1.4, 9);
    const large = adult({ legSpanMm: 160 });
    expect(preyPlan({ ...large, aim: 'grow-on' }).mealG).toBe(preyPlan(large).mealG);
  });

  it('goes by how the animal looks, and by its weight where it was weighed', () => {
    const grams = CONDITIONS.map((condition) => preyPlan(adult({ condition })).mealG ?? 0);
    expect(grams[0]).toBeGreaterThan(grams[1] ?? 0);
    expect(grams[2]).toBeLessThan(grams[1] ?? 0);
    const weighed = preyPlan(adult({ massG: 20 }));
    expect(weighed.mealG).toBeCloseTo(20 * 0.03 * 2, 9);
    expect(weighed.grounds.find((each) => each.rule === 'weight')?.basis).toBe('your own setting');
  });

  it('is small and little after a moult', () => {
    const [usual, first] = [preyPlan(adult()), preyPlan(adult({ afterQuiet: true }))];
    expect(first.maxLengthMm).toBeCloseTo((usual.maxLengthMm * 2) / 3, 9);
    expect(first.mealG).toBeCloseTo((usual.mealG ?? 0) / 2, 9);
    expect(first.offers.map(({ count }) => count)).toEqual([1]);
    expect(first.everyDays).toBe(14);
  });

  // Common practice, no source: more than three are not seen to be eaten, and bite at night.
  it('is three pieces at the most: of small ones the next meal comes earlier, twice a week at the most', () => {
    const flies = [{ id: 'fly', lengthMm: 2, massG: 0.0004 }];
    const spiderling = preyPlan(adult({ stage: 'spiderling', legSpanMm: 12, feeders: flies }));
    expect([spiderling.offers[0]?.count, spiderling.everyDays]).toEqual([3, 3.5]);
    const grown = preyPlan(adult({ feeders: [{ id: 'small', lengthMm: 10, massG: 0.1 }] }));
    expect([grown.offers[0]?.count, grown.everyDays]).toEqual([3, 7]);
    const { mealG, offers, everyDays } = preyPlan(adult({ feeders: [{ id: 'medium', lengthMm: 18, massG: 0.25 }] }));
    expect(everyDays).toBeCloseTo((14 * 3 * 0.25) / (mealG ?? 0), 9);
    expect(offers[0]?.count).toBe(3);
  });

  // Common practice, no source: one bigger meal a month.
  it('is one large piece a month for those who feed large and rarely', () => {
    const { offers, everyDays } = preyPlan(adult({ school: 'large-and-rarely' }));
    expect(offers).toMatchObject([{ count: 1, lengthMm: 20 }]);
    expect(everyDays).toBe(30);
  });

  it('comes later where one prey alone is more than the ration', () => {
    const plan = preyPlan(adult({ feeders: [{ id: 'big', lengthMm: 22, massG: 1.6 }] }));
    expect(plan.offers[0]?.count).toBe(1);
    expect(plan.everyDays).toBeGreaterThan(14);
    expect(plan.everyDays).toBeLessThanOrEqual(28);
  });

  it('prefers what is in the house, and what the house breeds', () => {
    const two = [
      { id: 'a', lengthMm: 20, massG: 0.39, onHand: 0 },
      { id: 'b', lengthMm: 18, massG: 0.3, onHand: 50 },
    ];
    expect(offered(adult({ feeders: two }))?.feeder).toBe('b');
    const bred = [two[0], { ...two[1], onHand: 0, isBred: true }] as PreyQuestion['feeders'];
    expect(offered(adult({ feeders: bred }))?.feeder).toBe('b');
  });

  it('is refused for kinds that are not offered prey', () => {
    expect(refusalOf(() => preyPlan(adult({ profile: profileOf('land-snail'), bodyLengthMm: 30 }))).fields[0]).toEqual({
      path: 'profile',
      message: 'Land snail is not offered prey.',
    });
    expect(refusalOf(() => preyPlan(adult({ legSpanMm: undefined }))).fields[0]?.path).toBe('legSpanMm');
  });
});

describe('laws of prey', () => {
  const hunters = [
    'ground-tarantula',
    'burrowing-tarantula',
    'tree-tarantula',
    'jumping-spider',
    'whip-spider',
    'forest-scorpion',
    'desert-scorpion',
    'crevice-scorpion',
    'mantis',
    'communal-assassin-bug',
  ].map((id) => profileOf(id));
  const question = fc
    .record({
      profile: fc.constantFrom(...hunters),
      sizeMm: fc.double({ min: 6, max: 200, noNaN: true }),
      headCount: fc.integer({ min: 1, max: 40 }),
      condition: fc.constantFrom(...CONDITIONS),
      afterQuiet: fc.boolean(),
      place: fc.nat(),
      feeders: fc.array(
        fc.record({
          id: fc.constantFrom('a', 'b', 'c', 'd'),
          lengthMm: fc.double({ min: 1, max: 60, noNaN: true }),
          massG: fc.double({ min: 0.0005, max: 3, noNaN: true }),
          onHand: fc.option(fc.integer({ min: 0, max: 500 }), { nil: undefined }),
        }),
        { maxLength: 12 },
      ),
    })
    .map(({ profile, sizeMm, place, ...rest }) => ({
      ...rest,
      profile,
      stage: profile.stages[place % profile.stages.length] ?? 'adult',
      [profile.measure.takes]: sizeMm,
    })) as fc.Arbitrary<PreyQuestion>;

  it('prey is never longer than what is safe', () => {
    fc.assert(
      fc.property(question, (asked) => {
        const plan = preyPlan(asked);
        for (const offer of plan.offers) expect(offer.lengthMm).toBeLessThanOrEqual(plan.maxLengthMm);
      }),
    );
  });

  it('a meal meets the ration within one prey, or is as near as its limits allow', () => {
    fc.assert(
      fc.property(question, (asked) => {
        const { mealG, offers } = preyPlan(asked);
        const [offer] = offers;
        if (mealG === null || !offer) return;
        const each = offer.count / (asked.headCount ?? 1);
        expect(Number.isInteger(each)).toBe(true);
        const missed = Math.abs(each * offer.massG - mealG);
        if (each > 1 && each < 3) expect(missed).toBeLessThanOrEqual(offer.massG / 2 + 1e-6);
        if (each === 1 && !asked.afterQuiet && asked.headCount === 1)
          expect(offer.massG * 1.5 + 1e-12).toBeGreaterThanOrEqual(mealG);
        expect(each).toBeLessThanOrEqual(asked.afterQuiet || (asked.headCount ?? 1) > 1 ? 1 : 3);
        if (each === 3) expect(offer.massG * 2.5).toBeLessThanOrEqual(mealG + 1e-12);
      }),
    );
  });

  it('a heavier animal is never given less', () => {
    fc.assert(
      fc.property(question, fc.double({ min: 0.01, max: 100, noNaN: true }), (asked, massG) => {
        const [light, heavy] = [preyPlan({ ...asked, massG }), preyPlan({ ...asked, massG: massG * 1.3 })];
        expect(heavy.mealG ?? 0).toBeGreaterThanOrEqual(light.mealG ?? 0);
      }),
    );
  });
});

// Common practice, no source: never citrus, onion or garlic for snails; egg only for those who chose it.
describe('forbidden food', () => {
  const food = (id: string) => shippedFoods.find((each) => each.id === id) ?? shippedFoods[0];
  const why = (
    id: string,
    change: { profile?: string; schools?: Schools; forbidden?: Record<string, string> } = {},
  ) => {
    const { profile = 'land-snail', schools = {}, forbidden = {} } = change;
    const known = food(id);
    return known && whyNot(known, profileOf(profile), schools, forbidden);
  };
  it('of snails is refused with the reason, egg by the school', () => {
    for (const id of ['orange', 'onion', 'garlic']) expect(why(id)).toMatch(/Never/);
    expect(why('carrot')).toBeUndefined();
    expect(why('egg')).toContain('deaths');
    expect(why('egg', { schools: { 'snail-egg': 'egg-allowed' } })).toBeUndefined();
    expect(why('onion', { profile: 'isopod-temperate' })).toBeUndefined();
  });

  it('of one resident is refused with the keeper’s reason', () => {
    expect(why('carrot', { forbidden: { carrot: 'It bloated.' } })).toBe('It bloated.');
    expect(why('carrot', { forbidden: { carrot: '' } })).toContain('forbidden food');
  });
});
