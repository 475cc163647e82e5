import fc from 'fast-check';
import { materials } from '@/contract/testing/profileOf';
import { VENT_SIDES, WALL_KINDS, type Container, type Vent } from '@/core/housing/container';
import type { Soil } from '@/core/housing/soil';
import { MATERIALS } from '@/core/substrate/material';
import { airFlow } from './airFlow';
import { dampedCourse, forecastMoisture } from './forecast';
import { moistBox } from './moistBox';
import { followMoisture, type MoistureQuestion } from './moisture';

/*
 * Any box that a keeper may describe, in any room: nothing may come out that cannot be. Failures are not made smaller,
 * because each try follows a box through weeks.
 */
/** To a hundredth: finer than anybody measures. */
const number = (min: number, max: number) =>
  fc.integer({ min: Math.ceil(100 * min), max: Math.floor(100 * max) }).map((each) => each / 100);
const RUNS = { numRuns: 60, endOnFailure: true };

const anyVent: fc.Arbitrary<Vent> = fc
  .record({
    side: fc.constantFrom(...VENT_SIDES),
    shape: fc.constantFrom('hole' as const, 'panel' as const),
    count: fc.integer({ min: 1, max: 60 }),
    across: number(0.5, 60),
    tall: number(0.5, 60),
    centreHeightMm: fc.option(number(0, 300), { nil: undefined }),
    mesh: fc.option(number(0.05, 3), { nil: undefined }),
    open: number(0.02, 1),
  })
  .map(({ side, shape, count, across, tall, centreHeightMm, mesh, open }) => ({
    side,
    shape,
    count,
    ...(shape === 'hole' ? { diameterMm: across } : { widthMm: across, heightMm: tall }),
    centreHeightMm,
    ...(mesh !== undefined && { meshApertureMm: mesh, meshOpenFraction: open }),
  }));

const anyContainer: fc.Arbitrary<Container> = fc
  .record({
    isRound: fc.boolean(),
    lengthMm: number(20, 900),
    widthMm: number(20, 600),
    heightMm: number(30, 900),
    lid: fc.constantFrom('solid' as const, 'vented' as const, 'mesh' as const),
    walls: fc.option(fc.constantFrom(...WALL_KINDS), { nil: undefined }),
    vents: fc.array(anyVent, { maxLength: 6 }),
    coveredSides: fc.subarray([...VENT_SIDES]),
  })
  .map(({ isRound, lengthMm, widthMm, ...rest }) =>
    isRound ? { shape: 'cylinder', diameterMm: lengthMm, ...rest } : { shape: 'box', lengthMm, widthMm, ...rest },
  );

const anySoil = (heightMm: number): fc.Arbitrary<Soil> =>
  fc.oneof(
    number(0, heightMm).map((depthMm): Soil => ({ shape: 'flat', depthMm })),
    fc
      .tuple(number(0, heightMm), number(0, heightMm))
      .map(([frontMm, backMm]): Soil => ({ shape: 'slope', frontMm, backMm })),
  );

const anyQuestion: fc.Arbitrary<MoistureQuestion> = anyContainer.chain((container) =>
  fc
    .record({
      soil: anySoil(container.heightMm),
      material: fc.constantFrom(...MATERIALS),
      dampSharePct: number(0, 100),
      litterDepthMm: number(0, 60),
      dishAreaCm2: number(0, 200),
      damp: number(0, 1.2),
      dry: number(0, 1.2),
      temperatureC: number(-10, 45),
      relativeHumidityPct: number(0, 100),
      draughtMS: number(0, 2),
      dailySwingK: number(0, 8),
      warmingK: number(0, 15),
      lidOff: fc.boolean(),
    })
    .map(
      ({
        soil,
        material,
        damp,
        dry,
        temperatureC,
        relativeHumidityPct,
        draughtMS,
        dailySwingK,
        warmingK,
        lidOff,
        ...rest
      }) => ({
        box: moistBox(container, { soil, recipe: [{ material, parts: 1 }], ...rest }, materials, { lidOff }),
        wetness: { damp, dry },
        room: { temperatureC, relativeHumidityPct, draughtMS, dailySwingK },
        warmingK,
        days: 14,
        stepMinutes: 30,
      }),
    ),
);

describe('any box in any room', () => {
  it('passes a finite amount of air, each opening its share of it', () => {
    fc.assert(
      fc.property(anyContainer, number(0, 10), number(0, 2), (container, warmingK, draughtMS) => {
        const soil = { shape: 'flat' as const, depthMm: container.heightMm / 3 };
        const flow = airFlow({ container, soil, temperatureC: 22, warmingK, draughtMS });
        expect(Number.isFinite(flow.airChangesPerHour)).toBe(true);
        expect(flow.airChangesPerHour).toBeGreaterThanOrEqual(0);
        for (const each of flow.openings) expect(each.diffusionM3S).toBeGreaterThan(0);
        const shares = flow.openings.reduce((sum, each) => sum + each.sharePct, 0);
        if (flow.openings.length > 0) expect(shares).toBeLessThanOrEqual(100 + 1e-6);
      }),
      { numRuns: 300 },
    );
  });

  it('stays between dry and saturated, never holds less than no water, and keeps its books', () => {
    fc.assert(
      fc.property(anyQuestion, (question) => {
        const course = followMoisture(question);
        for (const humidity of course.relativeHumidityPct) {
          expect(humidity).toBeGreaterThanOrEqual(0);
          expect(humidity).toBeLessThanOrEqual(100);
        }
        expect(Math.min(...course.dampWetness, ...course.dryWetness)).toBeGreaterThanOrEqual(-1e-9);
        const lost = course.lostMl.at(-1) ?? NaN;
        expect(Math.abs(lost - course.passedMl)).toBeLessThan(1e-3 * Math.abs(course.passedMl) + 1e-6);
      }),
      RUNS,
    );
  });

  it('is damped back to what was asked and not more, and its forecast holds no nonsense', () => {
    fc.assert(
      fc.property(anyQuestion, (question) => {
        const { daysToRedamp, redampMl, airChangesPerHour } = forecastMoisture(question, {
          humidityPct: { min: 40, max: 90 },
        });
        expect(Number.isFinite(redampMl) && Number.isFinite(airChangesPerHour)).toBe(true);
        if (daysToRedamp !== null) expect(daysToRedamp).toBeGreaterThanOrEqual(0);
        const target = question.wetness.damp;
        const course = dampedCourse({ ...question, days: 10 }, target, 0.8 * target);
        expect(course.dampWetness).toHaveLength(10 * 24 + 1);
        for (const { waterMl } of course.dampings) expect(waterMl).toBeGreaterThanOrEqual(0);
        for (const each of course.dampWetness) expect(Number.isFinite(each)).toBe(true);
      }),
      RUNS,
    );
  });
});
