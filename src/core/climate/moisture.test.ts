import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import type { Container, Vent } from '@/core/housing/container';
import { flat, type Soil } from '@/core/housing/soil';
import type { AirWaysSettings } from './airFlow';
import { forecastMoisture, staleAir, type Wishes } from './forecast';
import { moistBox, type Filling } from './moistBox';
import { followMoisture, surfaceConductanceMS, type MoistureQuestion } from './moisture';
import { saturationVapourPressurePa, vapourDensityKgM3 } from './psychrometrics';

const SIDES = ['front', 'back', 'left', 'right'] as const;
const holes = (count: number, diameterMm = 3): Vent[] =>
  (count === 0 ? [] : SIDES).map((side) => ({ side, shape: 'hole', count, diameterMm, centreHeightMm: 80 }));
const tub = (vents: Vent[]): Container => ({
  shape: 'box',
  lengthMm: 280,
  widthMm: 200,
  heightMm: 107,
  lid: 'solid',
  vents,
});
const MIX = [
  { material: 'coir' as const, parts: 3 },
  { material: 'leaf-litter' as const, parts: 2 },
  { material: 'sphagnum' as const, parts: 1 },
];
const ROOM = { temperatureC: 21, relativeHumidityPct: 45, draughtMS: 0.1 };

interface Case extends Partial<Omit<MoistureQuestion, 'box'>> {
  vents?: Vent[];
  filling?: Partial<Filling>;
  settings?: AirWaysSettings;
  soil?: Soil;
}
function question({ vents = holes(4), filling, settings, soil = flat(50), ...rest }: Case = {}): MoistureQuestion {
  const box = moistBox(tub(vents), { soil, recipe: MIX, dampSharePct: 50, ...filling }, materials, settings);
  return { box, wetness: { damp: 0.75, dry: 0.3 }, room: ROOM, warmingK: 0, days: 30, stepMinutes: 60, ...rest };
}
const last = (values: Float64Array) => values.at(-1) ?? NaN;
const forecast = (each: Case, wishes: Wishes = {}) => forecastMoisture(question(each), wishes);

describe('limits', () => {
  it('a sealed box takes on the humidity of its soil', () => {
    const { course } = forecast({ vents: [], settings: { seamGapMm: 0 } });
    expect(last(course.relativeHumidityPct)).toBeGreaterThan(99.5);
    expect(last(course.lostMl)).toBeCloseTo(0, 9);
  });

  it('damp air is lighter than dry: it rises out of high openings though nothing is warmer', () => {
    const at = (centreHeightMm: number): Vent => ({
      side: 'left',
      shape: 'hole',
      count: 6,
      diameterMm: 12,
      centreHeightMm,
    });
    const still = { room: { ...ROOM, draughtMS: 0 }, warmingK: 0, settings: { seamGapMm: 0 }, soil: flat(30), days: 3 };
    const level = forecast({ ...still, vents: [at(70), { ...at(70), side: 'right' }] });
    const apart = forecast({ ...still, vents: [at(40), { ...at(95), side: 'right' }] });
    // By diffusion alone both lose the same; with its lightness, 0.378 of the vapour pressure, the second loses more.
    expect(last(apart.course.lostMl)).toBeGreaterThan(1.15 * last(level.course.lostMl));
  });

  it('with the lid off the air is that of the room, and dry soil takes nothing from it for long', () => {
    const dry = { damp: 0.04, dry: 0.04 };
    const { course } = forecast({ settings: { lidOff: true }, wetness: dry, days: 60 });
    expect(Math.abs(last(course.relativeHumidityPct) - 45)).toBeLessThan(2);
    const wet = forecast({ settings: { lidOff: true }, filling: { litterDepthMm: 20 } });
    expect(wet.steadyRelativeHumidityPct).toBeLessThan(60);
  });

  it('under an open top open water feels the draught, under a closed one hardly', () => {
    const dishMl = (draughtMS: number, lidOff: boolean) =>
      forecast({
        ...{
          room: { ...ROOM, draughtMS },
          settings: { lidOff },
          soil: flat(0),
          filling: { dishAreaCm2: 100 },
          days: 2,
        },
      }).dishMlPerDay;
    expect(dishMl(0.5, true) / dishMl(0, true)).toBeGreaterThan(1.3);
    // As pools are reckoned (ASHRAE, as below): A (pw - pa) (0.089 + 0.0782 v) / Y, here at 0.1 m/s over a day.
    const pool = (((0.55 * saturationVapourPressurePa(21)) / 1000) * (0.089 + 0.0782 * 0.1) * 0.01 * 86_400) / 2.453;
    expect(dishMl(0.1, true) / pool).toBeGreaterThan(0.5);
    expect(dishMl(0.1, true) / pool).toBeLessThan(1.5);
  });

  it('soil never holds less than nothing, nor more than there was', () => {
    const { dampWetness, dryWetness } = followMoisture(question({ days: 400, vents: holes(24, 8) }));
    expect(Math.min(...dampWetness, ...dryWetness)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...dampWetness)).toBeLessThanOrEqual(0.75);
  });
});

describe('water is neither made nor lost', () => {
  const wet = fc.double({ min: 0, max: 1, noNaN: true });
  it('what the stores lose is what passes the openings, within a thousandth', () => {
    const of = (each: Case) => {
      const asked = question(each);
      const course = followMoisture(asked);
      const { dampHeldKg, dryHeldKg } = asked.box;
      const stored = (hour: number) =>
        1000 * ((course.dampWetness.at(hour) ?? NaN) * dampHeldKg + (course.dryWetness.at(hour) ?? NaN) * dryHeldKg);
      return { course, stored };
    };
    fc.assert(
      fc.property(wet, wet, fc.integer({ min: 0, max: 12 }), wet, (damp, dry, count, swing) => {
        const room = { ...ROOM, dailySwingK: 4 * swing };
        const { course } = of({ wetness: { damp, dry }, vents: holes(count, 4), room, filling: { dishAreaCm2: 20 } });
        expect(Math.abs(last(course.lostMl) - course.passedMl)).toBeLessThan(0.001 * Math.abs(course.passedMl) + 1e-6);
      }),
      { numRuns: 40 },
    );
    // And the soil's own books agree where nothing else holds water.
    const { course, stored } = of({});
    expect(stored(0) - stored(-1)).toBeCloseTo(last(course.lostMl), 6);
  });

  it('is the same in steps of ten minutes and of an hour', () => {
    const fine = followMoisture(question({ stepMinutes: 10 }));
    const coarse = followMoisture(question({ stepMinutes: 60 }));
    expect(Math.abs(last(fine.lostMl) / last(coarse.lostMl) - 1)).toBeLessThan(0.005);
  });
});

describe('against what is known', () => {
  // A tub of 6 L, four small holes in each side, 5 cm of damp mix with litter: a month without misting (common practice).
  it('the month-long tub stays in its band for 20 to 45 days at 21 C and 45 %', () => {
    for (const draughtMS of [0.1, 0.15, 0.2]) {
      const { daysToRedamp } = forecast({ room: { ...ROOM, draughtMS }, filling: { litterDepthMm: 20 }, days: 90 });
      expect(daysToRedamp).toBeGreaterThan(20);
      expect(daysToRedamp).toBeLessThan(45);
    }
  });

  // ASHRAE Applications, natatoriums: W = A (pw - pa) (0.089 + 0.0782 v) / Y, kPa and kJ/kg, for pools at rest x 0.5 to 1.
  it('open water evaporates within a factor of two of the pool formula', () => {
    for (const v of [0, 0.1, 0.3]) {
      for (const t of [18, 22, 28]) {
        const deficit = 0.55 * saturationVapourPressurePa(t);
        const pool = ((deficit / 1000) * (0.089 + 0.0782 * v)) / 2440;
        const ours = surfaceConductanceMS(v) * vapourDensityKgM3(deficit, t);
        expect(ours / pool).toBeGreaterThan(0.5);
        expect(ours / pool).toBeLessThan(2);
      }
    }
  });
});

describe('laws', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  it('more holes, more draught, a drier room: the soil dries sooner and the air is drier', () => {
    fc.assert(
      fc.property(share, fc.integer({ min: 1, max: 12 }), (draught, count) => {
        const room = { ...ROOM, draughtMS: draught / 2 };
        const base = forecast({ room, vents: holes(count) });
        for (const more of [
          forecast({ room, vents: holes(count + 2) }),
          forecast({ room: { ...room, draughtMS: draught / 2 + 0.1 }, vents: holes(count) }),
          forecast({ room: { ...room, relativeHumidityPct: 30 }, vents: holes(count) }),
        ]) {
          expect(more.waterLostMl).toBeGreaterThan(base.waterLostMl);
          expect(more.steadyRelativeHumidityPct).toBeLessThan(base.steadyRelativeHumidityPct);
        }
      }),
      { numRuns: 20 },
    );
  });

  it('litter holds the water in the soil, a dish keeps the air damp', () => {
    const bare = forecast({});
    expect(forecast({ filling: { litterDepthMm: 30 } }).waterLostMl).toBeLessThan(bare.waterLostMl);
    const dish = forecast({ filling: { dishAreaCm2: 60 } });
    expect(dish.steadyRelativeHumidityPct).toBeGreaterThan(bare.steadyRelativeHumidityPct);
    expect(dish.dishMlPerDay).toBeGreaterThan(0.15);
  });

  it('water creeps from the damp end to the dry one, and the front of a slope holds more', () => {
    const { course } = forecast({ vents: [], settings: { seamGapMm: 0 } });
    expect(last(course.dampWetness)).toBeLessThan(0.75);
    expect(last(course.dryWetness)).toBeGreaterThan(0.3);
    const sloped = question({ soil: { shape: 'slope', frontMm: 70, backMm: 30 } }).box;
    // Of a slope from 70 to 30 mm the front half holds 60 of 100 parts.
    expect(sloped.dampHeldKg / (sloped.dampHeldKg + sloped.dryHeldKg)).toBeCloseTo(0.6, 3);
  });

  it('vapour condenses when the room cools faster than the soil, and not in a steady one', () => {
    expect(forecast({}).condensationHours).toBe(0);
    expect(forecast({ room: { ...ROOM, dailySwingK: 5 }, vents: holes(1) }).condensationHours).toBeGreaterThan(24);
  });

  it('follows a logged room between its readings', () => {
    const series = [0, 24, 48].map((hour) => ({ hour, temperatureC: 18 + hour / 12, relativeHumidityPct: 60 }));
    const { course } = forecast({ roomSeries: series, days: 2 });
    expect(course.temperatureC[12]).toBeGreaterThan(18.4);
    expect(course.temperatureC[12]).toBeLessThan(19);
    expect(
      forecast({ roomSeries: series.map((each) => ({ ...each, relativeHumidityPct: 30 })), days: 2 }).waterLostMl,
    ).toBeGreaterThan(last(course.lostMl));
  });
});

describe('what a keeper asks', () => {
  it('is when the damp end passes its limit, and the water that brings it back', () => {
    const asked = question({ days: 90 });
    const answer = forecastMoisture(asked, { dampWetnessMin: 0.6 });
    const hour = (answer.daysToRedamp ?? NaN) * 24;
    expect(answer.course.dampWetness[Math.floor(hour)]).toBeGreaterThanOrEqual(0.6);
    expect(answer.course.dampWetness[Math.ceil(hour)]).toBeLessThanOrEqual(0.6);
    expect(answer.redampMl / (0.15 * asked.box.dampHeldKg * 1000)).toBeCloseTo(1, 1);
    expect(forecastMoisture(question({ days: 3 })).daysToRedamp).toBeNull();
  });

  it('is how much of the time it is in its band', () => {
    expect(forecast({ days: 10 }, { humidityPct: { min: 0, max: 100 } }).inBandPct).toBe(100);
    expect(forecast({ days: 10 }, { humidityPct: { min: 0, max: 20 } }).inBandPct).toBe(0);
    expect(forecast({ days: 90 }, { humidityPct: { min: 0, max: 100 } }).inBandPct).toBeLessThan(60);
    expect(forecast({ days: 10 }).inBandPct).toBeNull();
  });

  it('is whether its air is stale', () => {
    expect(staleAir(0.2, 80)).toBe('stale');
    expect(staleAir(0.5, 99)).toBe('still');
    expect(staleAir(3, 99)).toBe('fresh');
    expect(staleAir(1.5, 99, 1)).toBe('still');
    expect(staleAir(3, 80)).toBe('fresh');
    expect(forecast({ vents: [] }).staleAir).toBe('stale');
  });
});
