import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import type { MaterialId } from '@/core/substrate/material';
import { moistBox, type Filling } from './moistBox';
import { followMoisture, layersAt, type MoistureQuestion } from './moisture';
import { dampedCourse } from './forecast';
import { evenly, freshlyPoured, meanWetness, pour, toPourMl, WATERING_WAYS, type SoilLayers } from './soilLayers';

const tub: Container = {
  shape: 'box',
  lengthMm: 300,
  widthMm: 200,
  heightMm: 250,
  lid: 'solid',
  vents: (['left', 'right'] as const).map((side) => ({
    ...{ side, shape: 'hole', count: 6, diameterMm: 8, centreHeightMm: 200, meshApertureMm: 1 },
  })),
};
const ROOM = { temperatureC: 24, relativeHumidityPct: 30, draughtMS: 0.1 };
const of = (material: MaterialId) => [{ material, parts: 1 }];
const boxOf = (depthMm: number, material: MaterialId, more: Partial<Filling> = {}, lidOff = false) =>
  moistBox(tub, { soil: flat(depthMm), recipe: of(material), dampSharePct: 100, ...more }, materials, {
    lidOff,
    ...(!lidOff && { seamGapMm: 0 }),
  });
const follow = (box: MoistureQuestion['box'], more: Partial<MoistureQuestion> = {}) =>
  followMoisture({
    ...{ box, wetness: { damp: 0.7, dry: 0.3 }, warmingK: 0, days: 60, stepMinutes: 60 },
    ...{ room: ROOM, ...more },
  });

describe('a deep column that dries in open air', () => {
  // Ritchie 1972, Water Resources Research 8, table 1, cited from memory: after a first stage of 6 to 12 mm a bare soil loses
  // 3.3 mm (sand) to 5.1 mm (clay loam) times the root of the days.
  it.each([['coir'], ['peat'], ['topsoil']] as const)(
    'of %s first keeps pace with the air, then slows with the root of time',
    (material) => {
      const box = boxOf(200, material, {}, true);
      const { lostMl } = follow(box, { wetness: { damp: 0.95, dry: 0 } });
      const mm = (day: number) => (lostMl[24 * day] ?? NaN) / 1000 / box.dampAreaM2;
      const pace = mm(1);
      const first = Array.from({ length: 60 }, (_, day) => day).findIndex((day) => mm(day + 1) - mm(day) < 0.75 * pace);
      expect(mm(first)).toBeGreaterThan(4);
      expect(mm(first)).toBeLessThan(16);
      const slows = (mm(first + 16) - mm(first)) / 4;
      expect(slows).toBeGreaterThan(2.5);
      expect(slows).toBeLessThan(6.5);
    },
  );

  it('has a dry top over a damp lower half for weeks', () => {
    const course = follow(boxOf(150, 'coir', {}, true), { wetness: { damp: 0.8, dry: 0 } });
    const { damp } = layersAt(course, 24 * 21);
    expect(damp.top).toBeLessThan(0.2);
    expect(damp.low).toBeGreaterThan(0.5);
    expect(damp.middle).toBeGreaterThan(damp.top);
  });
});

describe('a sealed column', () => {
  it('comes to rest where suction bears the water: thinning out by 1/e over its height of suction', () => {
    for (const material of ['coir', 'leaf-litter'] as const) {
      const box = moistBox(
        { ...tub, vents: [] },
        { soil: flat(200), recipe: of(material), dampSharePct: 100 },
        materials,
        { seamGapMm: 0 },
      );
      const { damp } = layersAt(follow(box, { days: 400, wetness: { damp: 0.6, dry: 0 } }), 24 * 400);
      // From the middle of the lower half to that of the surface it is 200 x (1/4 + 5/12) mm.
      const thinned = Math.exp((-0.2 * (1 / 4 + 5 / 12)) / box.suctionM);
      expect(Math.abs(damp.top / damp.low / thinned - 1)).toBeLessThan(0.12);
    }
  });

  it('of sand lets water sink further than one of coir', () => {
    const low = (material: MaterialId) => {
      const box = moistBox(
        { ...tub, vents: [] },
        { soil: flat(150), recipe: of(material), dampSharePct: 100 },
        materials,
        {
          seamGapMm: 0,
        },
      );
      const { damp } = layersAt(follow(box, { wetness: { damp: 0.6, dry: 0 } }), 24 * 60);
      return damp.low - damp.top;
    };
    expect(low('sand')).toBeGreaterThan(2 * low('coir'));
  });
});

describe('layers that follow the hour', () => {
  it('are the same in steps of ten minutes and of an hour, from a film to a deep bed', () => {
    for (const depthMm of [8, 50, 200]) {
      const box = boxOf(depthMm, 'coir', { dampSharePct: 50, litterDepthMm: 5 });
      const [fine, coarse] = [10, 60].map((stepMinutes) => layersAt(follow(box, { stepMinutes, days: 20 }), 480));
      for (const end of ['damp', 'dry'] as const) {
        for (const layer of ['top', 'middle', 'low'] as const) {
          expect(Math.abs((fine?.[end][layer] ?? NaN) - (coarse?.[end][layer] ?? NaN))).toBeLessThan(0.03);
        }
      }
    }
  });
});

describe('pouring', () => {
  const box = boxOf(100, 'coir', { dampSharePct: 40 });
  const wet = fc.double({ min: 0, max: 1, noNaN: true });
  const layers = fc.record({ top: wet, middle: wet, low: wet });
  const waterIn = ({ damp, dry }: SoilLayers) =>
    1000 * (meanWetness(damp) * box.dampHeldKg + meanWetness(dry) * box.dryHeldKg);

  it('neither makes nor loses water, and tells what the soil cannot hold', () => {
    fc.assert(
      fc.property(
        fc.record({ damp: layers, dry: layers }),
        fc.constantFrom(...WATERING_WAYS),
        wet,
        (before, way, share) => {
          const waterMl = 4000 * share;
          const after = pour(box, before, way, waterMl);
          const taken = way === 'fill-dish' ? 0 : waterMl;
          expect(waterIn(after.layers) - waterIn(before)).toBeCloseTo(taken, 6);
          const over = [
            (after.layers.damp.low - 1) * box.dampHeldKg,
            (after.layers.dry.low - 1) * box.dryHeldKg,
          ].reduce((sum, each) => sum + Math.max(0, each) * 500, 0);
          expect(after.standsMl).toBeCloseTo(over, 6);
        },
      ),
    );
  });

  it('goes where it is poured: below by the side, above onto the end, over all as a mist', () => {
    const before = { damp: evenly(0.4), dry: evenly(0.2) };
    const ml = 0.1 * box.dampHeldKg * 1000;
    const side = pour(box, before, 'down-side', ml).layers;
    expect(side.damp).toEqual({ top: 0.4, middle: 0.4, low: expect.closeTo(0.6, 9) as number });
    expect(side.dry).toEqual(evenly(0.2));
    const end = pour(box, before, 'at-end', ml).layers;
    expect(end.damp.top).toBeCloseTo(1, 9);
    expect(end.damp.low).toBe(0.4);
    expect(pour(box, before, 'mist-top', 0.4 * ml).layers.dry.top).toBeGreaterThan(0.2);
    expect(pour(box, before, 'fill-dish', ml).layers).toEqual(before);
  });

  it('asks for as much as brings the damp end back, also where half of it falls on the dry one', () => {
    for (const way of WATERING_WAYS.filter((each) => each !== 'fill-dish')) {
      const before = { damp: evenly(0.4), dry: evenly(0.2) };
      const lackedMl = 1000 * 0.2 * box.dampHeldKg;
      const { layers: after } = pour(box, before, way, toPourMl(box, way, lackedMl));
      expect(meanWetness(after.damp)).toBeCloseTo(0.6, 9);
    }
  });

  it('of the dish alone damps no soil, however dry', () => {
    const course = { layers: { damp: evenly(0.2), dry: evenly(0.1) }, wetness: { damp: 0.2, dry: 0.1 } };
    const asked = { box, ...course, room: ROOM, warmingK: 0, days: 5, stepMinutes: 60 };
    expect(dampedCourse({ ...asked, way: 'fill-dish' }, 0.7, 0.5).dampings).toEqual([]);
    expect(dampedCourse({ ...asked, way: 'throughout' }, 0.7, 0.5).dampings.length).toBe(1);
  });

  it('leaves the end as wet as it was asked to be, whichever way', () => {
    fc.assert(
      fc.property(wet, wet, fc.constantFrom(...WATERING_WAYS), (a, b, way) => {
        const [from, damp] = [Math.min(a, b), Math.max(a, b)];
        expect(meanWetness(freshlyPoured({ damp, dry: 0.1 }, way, from).damp)).toBeCloseTo(damp, 9);
      }),
    );
  });

  it('down the side keeps the surface drier than onto it, for days', () => {
    const asked = (way: 'down-side' | 'at-end') =>
      layersAt(follow(box, { layers: freshlyPoured({ damp: 0.7, dry: 0.2 }, way, 0.45), days: 4 }), 24 * 4).damp;
    expect(asked('down-side').top).toBeLessThan(asked('at-end').top - 0.03);
    expect(asked('down-side').low).toBeGreaterThan(asked('at-end').low + 0.03);
  });
});
