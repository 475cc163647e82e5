import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { shippedPopulations } from '@/contract/shipped';
import { safeHarvest } from './culture';
import { paceAt, type PopulationKind } from './kind';

const kindOf = (profile: string) =>
  shippedPopulations.find((each) => each.profiles.includes(profile)) as PopulationKind;

/**
 * The same culture once more, written apart from the engine: one after another, with rates drawn by the polar method (Marsaglia and
 * Bray 1964) from another generator, its young in one row of weekly ages. Answers the share of cultures that ever had too few.
 */
function shareThatFalls(
  kind: PopulationKind,
  start: { adult: number; juvenile: number },
  room: number,
  temperatureC: number,
  taken: (grown: number) => number,
  keepBack: number,
): number {
  const random = xoroshiro128plus(77);
  const normal = (): number => {
    for (;;) {
      const [u, v] = [2 * uniformFloat64(random) - 1, 2 * uniformFloat64(random) - 1];
      const s = u * u + v * v;
      if (s > 0 && s < 1) return u * Math.sqrt((-2 * Math.log(s)) / s);
    }
  };
  if (kind.laying.by !== 'female') throw new Error('Only those that lay themselves are harvested.');
  const [young] = kind.young;
  if (!young || kind.young.length !== 1) throw new Error('Written for kinds of one young stage.');
  const times = 1000;
  let fallen = 0;
  for (let time = 0; time < times; time += 1) {
    const { spread } = kind;
    const sds = [spread.value, Math.hypot(0.5 * spread.value, ...rangesOfPace(kind, temperatureC)), spread.value];
    const [laying, paceTimes, death] = sds.map((sd) => Math.exp(sd * normal())) as [number, number, number];
    const pace = paceAt(kind, temperatureC) * paceTimes;
    const parts = Math.max(1, Math.min(4, Math.floor(young.days.value / 7)));
    const moves = Math.min(1, (pace * parts * 7) / young.days.value);
    const row = Array<number>(parts).fill(start.juvenile / parts);
    let adults = start.adult;
    let least = Infinity;
    for (let week = 0; week < 156; week += 1) {
      const all = adults + row.reduce((sum, each) => sum + each, 0);
      const born = kind.laying.femaleShare.value * kind.laying.perWeek.value * adults * Math.min(1.3, pace) * laying;
      let comes = Math.min(born, room) * Math.max(0, 1 - all / room);
      for (let part = 0; part < parts; part += 1) {
        const alive = (row[part] ?? 0) * (1 - Math.min(1, (young.weeklyDeathPct.value / 100) * death));
        row[part] = alive * (1 - moves) + comes;
        comes = alive * moves;
      }
      adults = Math.max(0, adults * (1 - Math.min(1, (7 / kind.adultLifeDays.value) * death)) + comes);
      adults -= Math.min(adults, taken(adults));
      least = Math.min(least, adults);
    }
    if (least < keepBack) fallen += 1;
  }
  return fallen / times;
}

/** What is not known of its warmth and of its youth, from eight of ten within the ranges of the data, by hand. */
function rangesOfPace(kind: PopulationKind, temperatureC: number): number[] {
  const EIGHT_OF_TEN = 2 * 1.2816;
  const { referenceC, baseC, optimumC } = kind.warmth;
  const warm = Math.min(temperatureC, optimumC.value);
  const paceOf = (reference: number, base: number) => (warm - base) / (reference - base);
  const [reference, base, youth] = [referenceC.range, baseC.range, kind.young[0]?.days.range];
  const apart = (one: number, other: number) => Math.abs(Math.log(one / other)) / EIGHT_OF_TEN;
  return [
    reference ? apart(paceOf(reference.min, baseC.value), paceOf(reference.max, baseC.value)) : 0,
    base ? apart(paceOf(referenceC.value, base.min), paceOf(referenceC.value, base.max)) : 0,
    youth ? apart(youth.max, youth.min) : 0,
  ];
}

describe('a harvest for ever', () => {
  it.each([
    ['isopod-temperate', 24, 540],
    ['isopod-temperate', 21, 540],
    ['isopod-dwarf-tropical', 25, 900],
  ])(
    'of %s at %d C and room for %d leaves 19 of 20 cultures a safe number for three years',
    (profile, celsius, room) => {
      const kind = kindOf(profile);
      const start = { adult: 0.6 * room, juvenile: 0.2 * room };
      const question = { kind, counts: start, roomForHeads: room, temperatureC: celsius };
      const { perWeek, sharePct, keepBack, usableWeek } = safeHarvest(question);
      expect(usableWeek).toBe(0);
      const falls = (taken: (grown: number) => number) => shareThatFalls(kind, start, room, celsius, taken, keepBack);
      expect(falls(() => perWeek)).toBeLessThan(0.08);
      expect(falls((grown) => (sharePct / 100) * grown)).toBeLessThan(0.05);
      // And is not far under what it could be: half as much again is too much.
      expect(falls(() => 1.5 * perWeek)).toBeGreaterThan(0.08);
    },
  );

  it('begins when it is half as many as it will be, and never where it is too cold', () => {
    const question = { kind: kindOf('isopod-temperate'), counts: { adult: 12 }, roomForHeads: 540 };
    const young = safeHarvest({ ...question, temperatureC: 24 });
    expect(young.usableWeek).toBeGreaterThan(6);
    const settled = safeHarvest({ ...question, counts: { adult: 320, juvenile: 90 }, temperatureC: 24 });
    expect(Math.abs(young.perWeek / settled.perWeek - 1)).toBeLessThan(0.1);
    expect(safeHarvest({ ...question, temperatureC: 6 })).toMatchObject({ perWeek: 0, sharePct: 0, usableWeek: null });
  });

  it('hardly changes where the count is in doubt', () => {
    const question = { kind: kindOf('isopod-temperate'), counts: { adult: 160, juvenile: 190 }, roomForHeads: 540 };
    const sure = safeHarvest({ ...question, temperatureC: 22 });
    const doubted = safeHarvest({ ...question, temperatureC: 22, countSpread: 0.8 });
    // Each begins when it is seen to be full enough: what was counted wrongly costs a few per cent at most.
    expect(Math.abs(doubted.perWeek / sure.perWeek - 1)).toBeLessThan(0.05);
  });
});
