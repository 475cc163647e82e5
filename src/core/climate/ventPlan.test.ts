import { materials } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { forecastMoisture } from './forecast';
import { moistBox, type Filling } from './moistBox';
import { compareRegimes } from './regimes';
import { ventPlan, WISHES, type VentPlanQuestion, type VentWishes } from './ventPlan';

const container: Container = {
  shape: 'box',
  lengthMm: 300,
  widthMm: 200,
  heightMm: 150,
  lid: 'solid',
  vents: [],
};
const filling: Filling = {
  soil: flat(50),
  recipe: [{ material: 'coir', parts: 1 }],
  dampSharePct: 50,
};
const ROOM = { temperatureC: 24, relativeHumidityPct: 50, draughtMS: 0.1 };
const wishes: VentWishes = { humidityPct: { min: 70, max: 96 }, redampDays: 10, airChangesPerHour: 2, maxHoleMm: 6 };
const plan = (more: Partial<VentWishes> = {}, rest: Partial<VentPlanQuestion> = {}) =>
  ventPlan(
    {
      container,
      filling,
      wetness: { damp: 0.7, dry: 0.3 },
      room: ROOM,
      warmingK: 0,
      wishes: { ...wishes, ...more },
      ...rest,
    },
    materials,
  );

describe('holes for a band', () => {
  it('are found that hold it, and a forecast of the drilled box says the same', () => {
    const { best, relax } = plan();
    expect(relax).toEqual([]);
    if (!best) throw new Error('no plan');
    const box = moistBox({ ...container, vents: best.vents }, filling, materials);
    const again = forecastMoisture(
      { box, wetness: { damp: 0.7, dry: 0.3 }, room: ROOM, warmingK: 0, days: 90, stepMinutes: 60 },
      {},
    );
    expect(again.steadyRelativeHumidityPct).toBeGreaterThanOrEqual(70);
    expect(again.steadyRelativeHumidityPct).toBeLessThanOrEqual(96);
    expect(again.daysToRedamp ?? 90).toBeGreaterThanOrEqual(10);
    expect(again.airChangesPerHour).toBeGreaterThanOrEqual(2);
    expect(best.diameterMm).toBeLessThanOrEqual(6);
  });

  it('trade interval for air: along the curve one grows while the other falls', () => {
    const { tradeOff } = plan();
    expect(tradeOff.length).toBeGreaterThan(5);
    tradeOff.slice(1).forEach((option, index) => {
      expect(option.airChangesPerHour).toBeGreaterThan(tradeOff[index]?.airChangesPerHour ?? Infinity);
      expect(option.redampDays).toBeLessThan(tradeOff[index]?.redampDays ?? 0);
    });
  });

  it('that cannot be say which wish to ease, and easing it that far serves', () => {
    const impossible: Partial<VentWishes> = { redampDays: 40, airChangesPerHour: 15 };
    const { best, relax } = plan(impossible);
    expect(best).toBeNull();
    expect(relax.length).toBeGreaterThan(0);
    const field = {
      humidityLow: (to: number) => ({ humidityPct: { min: to, max: wishes.humidityPct.max } }),
      humidityHigh: (to: number) => ({ humidityPct: { min: wishes.humidityPct.min, max: to } }),
      redampDays: (to: number) => ({ redampDays: to }),
      airChanges: (to: number) => ({ airChangesPerHour: to }),
    };
    for (const { wish, to } of relax) expect(plan({ ...impossible, ...field[wish](to) }).best).not.toBeNull();
    expect(relax.every(({ wish }) => WISHES.includes(wish))).toBe(true);
  });

  it('are put under mesh where the young are smaller than anything that is drilled', () => {
    const { best, tradeOff } = plan({ maxHoleMm: 0.7, airChangesPerHour: 1 });
    expect(best?.meshApertureMm).toBeCloseTo(0.56, 6);
    expect(best?.vents.every((vent) => (vent.meshApertureMm ?? Infinity) < 0.7)).toBe(true);
    expect(tradeOff[0]).toMatchObject({ holesPerSide: 0 });
  });

  it('are one cut-out a side under mesh for those who keep it so, and grant the same wishes', () => {
    const { best } = plan({ openings: 'one-cut-out', redampDays: 4 });
    expect(best).toMatchObject({ holesPerSide: 1, grants: { airChanges: true, redampDays: true, humidityLow: true } });
    expect(best?.meshApertureMm).toBe(1);
    expect(plan({ openings: 'small-holes', redampDays: 4 }).best?.meshApertureMm).toBeNull();
  });

  it('are not drilled where a side is covered, nor wider than the animal allows', () => {
    const covered = plan({ maxHoleMm: 3 }, { container: { ...container, coveredSides: ['left', 'right'] } });
    const all = [...covered.tradeOff, ...(covered.best ? [covered.best] : [])];
    expect(all.every(({ sides }) => !sides.includes('left') && !sides.includes('right'))).toBe(true);
    expect(all.every(({ diameterMm, meshApertureMm }) => (meshApertureMm ?? diameterMm) <= 3)).toBe(true);
  });
});

describe('two schools on one box', () => {
  const question = (dishAreaCm2: number) => {
    const vents = (['left', 'right'] as const).map((side) => ({
      side,
      shape: 'hole' as const,
      count: 8,
      diameterMm: 6,
      centreHeightMm: 110,
    }));
    const box = moistBox({ ...container, vents }, { ...filling, dishAreaCm2 }, materials);
    return { box, wetness: { damp: 0.12, dry: 0.05 }, room: ROOM, warmingK: 0, days: 14, stepMinutes: 60 };
  };
  it('differ as keepers say: misting swings, the dish holds steady', () => {
    const [dish, mist] = compareRegimes(question(80), question(0), { humidityPct: { min: 65, max: 85 } }, 75, 20);
    if (!dish || !mist) throw new Error('two answers expected');
    expect(dish.mistingsPerWeek).toBe(0);
    expect(mist.mistingsPerWeek).toBeGreaterThan(0);
    expect(mist.humiditySwingPct).toBeGreaterThan(3 * dish.humiditySwingPct);
    expect(dish.forecast.dishMlPerDay * 7).toBeCloseTo(dish.waterMlPerWeek, 6);
    expect(mist.waterMlPerWeek).toBeCloseTo(20 * mist.mistingsPerWeek, 6);
  });
  it('agree where nothing has to be misted', () => {
    const [, mist] = compareRegimes(question(0), question(0), {}, 1, 20);
    expect(mist?.mistingsPerWeek).toBe(0);
  });
});
