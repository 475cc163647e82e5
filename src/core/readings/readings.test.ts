import fc from 'fast-check';
import { profileOf } from '@/contract/testing/profileOf';
import { alarmsOf } from './alarms';
import { gapsIn, markSpikes } from './marks';
import { DAY_MS, HOUR_MS, usualStepMs, type MarkedReading, type Reading } from './reading';
import { PROBE_STEP_MS, simulatedReadings, type ProbeFault } from './simulatedProbe';
import { waterLost } from './weighing';

const NOW = Date.UTC(2026, 2, 14, 19);
const { climate } = profileOf('isopod-temperate');
/** Half-hourly readings up to now, the last first made. */
const course = (hours: number, at: (hoursAgo: number) => Partial<Reading>, until = NOW): MarkedReading[] =>
  Array.from({ length: 2 * hours }, (_, index) => {
    const hoursAgo = hours - (index + 1) / 2;
    return { at: until - hoursAgo * HOUR_MS, mark: null, ...at(hoursAgo) };
  });
/** A little life, so that it is not stuck. */
const alive = (value: number, hoursAgo: number) => value + 0.1 * (Math.round(hoursAgo * 2) % 3);

describe('spikes', () => {
  const steady = Array.from({ length: 40 }, (_, index) => ({
    at: NOW + index * HOUR_MS,
    temperatureC: 24 + 0.2 * (index % 3),
    relativeHumidityPct: 80 + (index % 4),
  }));
  it('are marked wherever they stand, and nothing else is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 35 }),
        fc.integer({ min: 15, max: 60 }),
        fc.boolean(),
        (place, height, low) => {
          const readings = steady.map((each, index) =>
            index === place
              ? { ...each, relativeHumidityPct: each.relativeHumidityPct + (low ? -height : height / 4 + 12) }
              : each,
          );
          const marks = markSpikes(readings).flatMap((each, index) => (each.mark === null ? [] : [index]));
          expect(marks).toEqual([place]);
        },
      ),
    );
  });
  it('are not seen in a room that changes for good, and nothing is dropped or changed', () => {
    const step = steady.map((each, index) => ({ ...each, temperatureC: each.temperatureC + (index > 20 ? 6 : 0) }));
    const marked = markSpikes(step);
    expect(marked.filter((each) => each.mark !== null)).toEqual([]);
    expect(marked.map(({ mark: _, ...each }) => each)).toEqual(step);
  });
});

describe('gaps', () => {
  it('are breaks much longer than the usual step', () => {
    const readings = [0, 10, 20, 30, 130, 140].map((minutes) => ({ at: minutes * 60_000 }));
    expect(usualStepMs(readings)).toBe(600_000);
    expect(gapsIn(readings)).toEqual([{ fromAt: 1_800_000, toAt: 7_800_000 }]);
    expect(gapsIn([])).toEqual([]);
  });
});

describe('alarms', () => {
  it('come when the air is out of its band for longer than is borne, and not before', () => {
    // Temperate isopods: 65 to 97 %, a day borne.
    const dry = (hours: number) =>
      course(72, (ago) => ({ relativeHumidityPct: alive(ago < hours ? 50 : 80, ago), temperatureC: alive(22, ago) }));
    expect(alarmsOf(dry(20), climate, NOW)).toEqual([]);
    const [alarm, ...others] = alarmsOf(dry(30), climate, NOW);
    expect(others).toEqual([]);
    expect(alarm).toMatchObject({ kind: 'too-dry', limit: 65 });
    expect(alarm?.hours).toBeCloseTo(29.5, 0);
    const warm = course(72, (ago) => ({ relativeHumidityPct: alive(80, ago), temperatureC: alive(31, ago) }));
    expect(alarmsOf(warm, climate, NOW)).toMatchObject([{ kind: 'too-warm', limit: 27 }]);
    const damp = course(72, (ago) => ({ relativeHumidityPct: alive(98.5, ago) }));
    expect(alarmsOf(damp, climate, NOW)).toMatchObject([{ kind: 'too-damp' }]);
    const cold = course(72, (ago) => ({ temperatureC: alive(12, ago) }));
    expect(alarmsOf(cold, climate, NOW)).toMatchObject([{ kind: 'too-cold' }]);
  });
  it('end when it is in its band again', () => {
    const mended = course(72, (ago) => ({ relativeHumidityPct: alive(ago < 1 ? 80 : 50, ago) }));
    expect(alarmsOf(mended, climate, NOW)).toEqual([]);
  });
  it('say that a probe is silent or stuck, and then nothing else', () => {
    const dry = course(48, (ago) => ({ relativeHumidityPct: alive(50, ago) }), NOW - 5 * HOUR_MS);
    expect(alarmsOf(dry, climate, NOW)).toMatchObject([{ kind: 'silent', hours: 5 }]);
    const stuck = course(48, (ago) => ({ relativeHumidityPct: ago < 30 ? 50 : alive(80, ago), temperatureC: 22 }));
    expect(alarmsOf(stuck, climate, NOW)).toMatchObject([{ kind: 'stuck' }]);
    expect(alarmsOf([], climate, NOW)).toEqual([]);
  });
  it('leave doubted readings out', () => {
    const spiky = course(72, (ago) => ({ relativeHumidityPct: alive(80, ago) }));
    const last = spiky.at(-1);
    if (last) Object.assign(last, { relativeHumidityPct: 10, mark: 'spike' });
    expect(alarmsOf(spiky, climate, NOW)).toEqual([]);
  });
});

describe('simulated probes', () => {
  const air = (at: number) => ({
    temperatureC: 22 + Math.sin(at / (4 * HOUR_MS)),
    relativeHumidityPct: 75 + 5 * Math.sin(at / DAY_MS),
  });
  const probe = (fault: ProbeFault) => ({ seed: 4870, fault, faultFrom: NOW - 2 * DAY_MS });
  const told = (fault: ProbeFault) => simulatedReadings(probe(fault), air, NOW - 4 * DAY_MS, NOW);

  it('follow the air with noise, and tell the same however often they are asked', () => {
    const readings = told('none');
    expect(readings).toHaveLength((4 * DAY_MS) / PROBE_STEP_MS);
    const errors = readings.map((each) => (each.relativeHumidityPct ?? 0) - air(each.at).relativeHumidityPct);
    expect(Math.max(...errors.map(Math.abs))).toBeLessThan(4);
    expect(Math.abs(errors.reduce((sum, each) => sum + each, 0) / errors.length)).toBeLessThan(0.5);
    const half = NOW - DAY_MS;
    const pieces = [
      ...simulatedReadings(probe('none'), air, NOW - 4 * DAY_MS, half),
      ...simulatedReadings(probe('none'), air, half, NOW),
    ];
    expect(pieces).toEqual(readings);
  });

  it('try the alarms: stuck, silent, or with holes in their tale', () => {
    const bands = { ...climate, temperatureC: { ...climate.temperatureC, min: 10 } };
    const alarmOf = (fault: ProbeFault) =>
      alarmsOf(
        told(fault).map((each) => ({ ...each, mark: null })),
        bands,
        NOW,
      );
    expect(alarmOf('none')).toEqual([]);
    expect(alarmOf('stuck')).toMatchObject([{ kind: 'stuck' }]);
    expect(alarmOf('silent')).toMatchObject([{ kind: 'silent' }]);
    const holes = told('drop-outs');
    expect(holes.length).toBeLessThan(told('none').length - 10);
    expect(gapsIn(holes).length).toBeGreaterThan(2);
  });
});

describe('a box on the kitchen scale', () => {
  const weighed = (grams: number[]) => grams.map((massG, index) => ({ at: NOW + index * DAY_MS, massG }));
  it('lost water by the difference, since it was last made heavier', () => {
    expect(waterLost(weighed([2400, 2390, 2380]), NOW)).toMatchObject({ lostMl: 20, mlPerDay: 10 });
    expect(waterLost(weighed([2400, 2390, 2450, 2438]), NOW)).toMatchObject({ lostMl: 12, mlPerDay: 12 });
    expect(waterLost(weighed([2400, 2390, 2380]), NOW + DAY_MS)).toMatchObject({ lostMl: 10 });
  });
  it('has lost nothing that anybody knows of with one weighing', () => {
    expect(waterLost(weighed([2400]), NOW)).toBeNull();
    expect(waterLost([{ at: NOW, temperatureC: 20 }], NOW)).toBeNull();
    expect(waterLost(weighed([2400, 2401]), NOW)).toMatchObject({ lostMl: 0 });
  });
});
