import fc from 'fast-check';
import { shippedKnowledge } from '@/contract/shipped';
import { refusalOf } from '@/core/testing/refusalOf';
import { usualCases } from './cases';
import { numbersOf, withNumber } from './numbers';
import { apartBy, movedBetween, Weighing } from './sensitivity';

const numbers = numbersOf(shippedKnowledge);
const numberAt = (id: string) => {
  const number = numbers.find((each) => each.id === id);
  if (!number) throw new Error(`There is no number ${id}.`);
  return number;
};
const ofKinds = (...ids: string[]) => ({
  ...shippedKnowledge,
  profiles: shippedKnowledge.profiles.filter(({ id }) => ids.includes(id)),
  species: shippedKnowledge.species.filter(({ profile }) => ids.includes(profile)),
});

describe('the numbers that are believed', () => {
  it('each have one name, a basis, and are found again by it', () => {
    expect(new Set(numbers.map(({ id }) => id)).size).toBe(numbers.length);
    expect(numbers.length).toBeGreaterThan(3500);
    fc.assert(
      fc.property(fc.constantFrom(...numbers), (number) => {
        const other = withNumber(shippedKnowledge, number.id, 12.34567);
        const changed = numbersOf(other).filter((each, at) => each.value !== numbers[at]?.value);
        expect(changed.map(({ id }) => id)).toEqual([number.id]);
      }),
      { numRuns: 60 },
    );
  });

  it('that were published name the work in which they stand', () => {
    const unnamed = numbers.filter(({ basis, source }) => basis.startsWith('published') && source === undefined);
    expect(unnamed).toEqual([]);
  });

  it('say how what is not known of them is reckoned with', () => {
    const spreadOf = (id: string) => numberAt(id).spread;
    expect(spreadOf('profiles/ground-tarantula/fit/floor-width/min/times')).toEqual({
      by: 'watched',
      min: 1.8,
      max: 2,
    });
    expect(spreadOf('profiles/ground-tarantula/fit/soil-depth/min/times')).toEqual({ by: 'soft' });
    expect(spreadOf('profiles/ground-tarantula/fit/gap/max/times')).toEqual({ by: 'careful', min: 1.5, max: 2 });
    expect(spreadOf('profiles/ground-tarantula/fit/hole/max/times')).toEqual({
      ...{ by: 'watched', max: 1 },
      min: expect.closeTo(0.9),
    });
    expect(spreadOf('profiles/ground-tarantula/feeding/meals/2/everyDays')).toEqual({
      ...{ by: 'tolerance', min: 14, max: 24 },
    });
    expect(spreadOf('profiles/ground-tarantula/climate/humidityPct/min')).toMatchObject({ by: 'band' });
    expect(spreadOf('profiles/ground-tarantula/feeding/leftoversAfterHours/value')).toMatchObject({ by: 'careful' });
    expect(spreadOf('materials/coir/waterHeldMlPerL/value')).toEqual({ by: 'range', min: 450, max: 800 });
    expect(spreadOf('profiles/ground-tarantula/homeWork/moveMinutes')).toBeUndefined();
    expect(numberAt('profiles/ground-tarantula/fit/alone/max/plus').isCount).toBe(true);
  });

  it('without a basis are refused by their place, and one that is not there by its name', () => {
    const [material, ...others] = shippedKnowledge.materials;
    const bare = { ...material, looseDensityGPerL: { value: 3 } } as never;
    expect(() => numbersOf({ ...shippedKnowledge, materials: [bare, ...others] })).toThrow(
      'data: materials/coir/looseDensityGPerL/value says not what it rests on.',
    );
    for (const id of ['unicorns/1', 'materials/unicorn/suctionMm/value', 'materials/coir', 'materials/coir/horn'])
      expect(refusalOf(() => withNumber(shippedKnowledge, id, 1)).fields[0]?.path).toBe('number');
  });
});

describe('how much hangs on a number', () => {
  it('is nothing for the same answer, and wholly another for another word, none, or half as much again', () => {
    expect(apartBy(3, 3)).toBe(0);
    expect(apartBy('pass', 'watch')).toBe(1);
    expect(apartBy(4, null)).toBe(1);
    expect(apartBy(-2, 2)).toBe(1);
    expect(apartBy(199, 299)).toBeCloseTo(1, 9);
    expect(apartBy(99, 109)).toBeCloseTo(Math.log(1.1) / Math.log(1.5), 9);
    const value = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constantFrom('pass', 'fail'));
    fc.assert(
      fc.property(value, value, (one, other) => {
        expect(apartBy(one, other)).toBeCloseTo(apartBy(other, one), 12);
        expect(apartBy(one, other)).toBeGreaterThanOrEqual(0);
        expect(apartBy(one, other)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('is tried within its range, by a fifth, by 2 K, and no further than a share can go', () => {
    expect(movedBetween({ id: 'a/b/value', value: 10 })).toEqual([8, 12]);
    expect(movedBetween({ id: 'a/temperatureC/min', value: 20 })).toEqual([18, 22]);
    expect(movedBetween({ id: 'a/hatchPct/value', value: 95 })).toEqual([76, 100]);
    expect(movedBetween({ id: 'a/given/dry', value: 0.9 })).toEqual([0.9 * 0.8, 1]);
    expect(movedBetween({ id: 'a/value', value: 10, spread: { by: 'range', min: 9, max: 14 } })).toEqual([9, 14]);
    expect(movedBetween({ id: 'a/value', value: 10, spread: { by: 'tolerance', min: 9, max: 14 } })).toEqual([8, 12]);
  });

  it('is told answer by answer: of the days between moults it is the next moult, of nobody else, and by as much', () => {
    const knowledge = ofKinds('mantis', 'land-snail');
    const weighing = new Weighing(knowledge, usualCases(knowledge));
    const { answers, byQuestion, weight } = weighing.of(numberAt('profiles/mantis/growth/intervals/0/days/value'));
    expect(Object.keys(byQuestion)).toEqual(['moult']);
    expect(answers.every(({ who }) => who.includes('nymph') || who.includes('mantis'))).toBe(true);
    expect(weight).toBeCloseTo(
      answers.reduce((sum, { moved }) => sum + moved, 0),
      9,
    );
    const next = answers.find(({ about }) => about === 'days to the next');
    // Longer intervals, later moults.
    expect(Number(next?.ifLower)).toBeLessThan(Number(next?.isNow));
    expect(Number(next?.ifHigher)).toBeGreaterThan(Number(next?.isNow));
    // Asked of some, the weight is still told for all.
    const some = weighing.of(numberAt('materials/coir/waterHeldMlPerL/value'), 3);
    expect(some.asked.animals).toBeLessThanOrEqual(3);
    expect(some.asked.of).toBe(usualCases(knowledge).length);
  });

  it.each([
    ['eggs/mantis/matedDays/max', 'brood'],
    ['populations/springtail/young/juvenile/days/value', 'numbers'],
    ['rests/ant-small-temperate/weeks/value', 'rest'],
    ['stillness/tarantula/usualDays', 'stillness'],
    ['boxSigns/air-dry/given/dry', 'trouble'],
    ['feeders/field-cricket/classes/field-cricket-large/massG', 'meal'],
    ['profiles/mantis/fit/height/min/times', 'box-to-buy'],
  ])('%s moves what is asked of %s', (id, question) => {
    const knowledge = ofKinds('mantis', 'springtail', 'ant-small-temperate');
    const { byQuestion } = new Weighing(knowledge, usualCases(knowledge)).of(numberAt(id));
    expect(Object.keys(byQuestion)).toContain(question);
  });

  it('is asked of somebody of every kind at every stage, in a home that serves', () => {
    const cases = usualCases(shippedKnowledge);
    const kinds = new Set(cases.map(({ profile }) => profile));
    expect(shippedKnowledge.profiles.map(({ id }) => id).filter((id) => !kinds.has(id))).toEqual([]);
    expect(cases.every(({ home }) => home.substrateDepthMm >= 0)).toBe(true);
  });
});
