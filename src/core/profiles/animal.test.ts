import fc from 'fast-check';
import { shippedProfiles, shippedSpecies } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { refusalOf } from '@/core/testing/refusalOf';
import { bodyOf, grown, requireSchool, requireStage, takenMeasure, type AnimalMeasures } from './animal';
import type { Stage } from './profile';
import { careBook } from './careBook';
import { withOverrides } from './species';

const GROUND = profileOf('ground-tarantula');
const MANTIS = profileOf('mantis');

describe('the measures of an animal', () => {
  it('are taken as they are, and the others by the proportions of the kind', () => {
    expect(bodyOf(GROUND, { legSpanMm: 100 })).toEqual({
      legSpanMm: { mm: 100, estimated: false },
      bodyLengthMm: { mm: 42, estimated: true },
      carapaceWidthMm: { mm: 15, estimated: true },
    });
    expect(bodyOf(GROUND, { carapaceWidthMm: 15 }).legSpanMm).toEqual({ mm: 100, estimated: true });
    expect(bodyOf(GROUND, { legSpanMm: 100, carapaceWidthMm: 17 }).carapaceWidthMm).toEqual({
      mm: 17,
      estimated: false,
    });
  });

  it('that mean nothing for a kind are not made up', () => {
    expect(bodyOf(profileOf('land-snail'), { bodyLengthMm: 30 }).legSpanMm).toBeUndefined();
  });

  it('may be usual ones where the kind is counted, and are asked for where it is not', () => {
    expect(takenMeasure(profileOf('springtail'), {})).toEqual({ mm: 2, estimated: true });
    const { fields } = refusalOf(() => takenMeasure(MANTIS, {}));
    expect(fields).toEqual([{ path: 'bodyLengthMm', message: expect.stringContaining('body length as bodyLengthMm') }]);
    expect(refusalOf(() => takenMeasure(GROUND, { headCount: 3 })).fields[0]?.path).toBe('legSpanMm');
  });

  it('come back the same by whichever of them was taken', () => {
    const size = fc.double({ min: 1, max: 300, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...shippedProfiles), size, (profile, mm) => {
        const { takes } = profile.measure;
        const body = bodyOf(profile, { [takes]: mm });
        for (const [name, length] of Object.entries(body)) {
          expect(takenMeasure(profile, { [name]: length.mm }).mm).toBeCloseTo(mm, 6);
        }
      }),
    );
  });
});

describe('growing', () => {
  it('multiplies every length that was taken, and stops at the grown animal', () => {
    const nymph = { stage: 'nymph' as const, bodyLengthMm: 30, carapaceWidthMm: 3 };
    // From memory: 1.27 a moult for mantids.
    expect(grown(MANTIS, nymph, 1)).toEqual({
      stage: 'nymph',
      bodyLengthMm: expect.closeTo(38.1),
      carapaceWidthMm: expect.closeTo(3.81),
    });
    expect(grown(MANTIS, nymph, 9).bodyLengthMm).toBe(85);
    expect(grown(MANTIS, { stage: 'adult', bodyLengthMm: 60 }, 2).bodyLengthMm).toBe(60);
    expect(grown(GROUND, { stage: 'adult', legSpanMm: 190 }, 2).legSpanMm).toBe(190);
  });

  it('never makes anybody smaller, and never passes what is usual', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedProfiles),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.integer({ min: 0, max: 12 }),
        (profile, share, moults) => {
          const { takes } = profile.measure;
          const now = profile.growth.grownMm.value * share;
          const animal: AnimalMeasures & { stage: Stage } = { stage: profile.stages[0] ?? 'adult', [takes]: now };
          const then = takenMeasure(profile, grown(profile, animal, moults)).mm;
          const next = takenMeasure(profile, grown(profile, animal, moults + 1)).mm;
          expect(then).toBeGreaterThanOrEqual(now);
          expect(next).toBeGreaterThanOrEqual(then);
          expect(then).toBeLessThanOrEqual(Math.max(now, profile.growth.grownMm.value) + 1e-9);
        },
      ),
    );
  });
});

describe('a stage or a school that a kind does not have', () => {
  it('is refused with those it has', () => {
    expect(refusalOf(() => requireStage(MANTIS, 'pupa')).fields[0]?.message).toContain(
      'nymph, juvenile, subadult, adult',
    );
    expect(refusalOf(() => requireSchool(GROUND, 'nobodys')).fields[0]?.message).toContain('small-and-often');
    expect(refusalOf(() => requireSchool(profileOf('springtail'), 'any')).fields[0]?.message).toContain('fresh-food');
    expect(() => requireSchool(GROUND, undefined)).not.toThrow();
  });
});

describe('the book of care', () => {
  it('gives the profile, or that of a species where it differs, and names those it knows', () => {
    const own = { ...MANTIS, id: 'mantis-own' };
    const book = careBook([...shippedProfiles, own], shippedSpecies);
    expect(book.of({ profile: 'mantis-own' })).toBe(own);
    expect(book.of({ profile: 'mantis', scientificName: 'Phyllocrania paradoxa' }).growth.grownMm.value).toBe(48);
    // Asked again, it is the same object: screens compare by identity.
    const asked = { profile: 'mantis', scientificName: 'Phyllocrania paradoxa' };
    expect(book.of(asked)).toBe(book.of(asked));
    expect(book.of({ profile: 'mantis-own', scientificName: 'Phyllocrania paradoxa' })).toBe(own);
    expect([book.has('mantis'), book.has('dragon')]).toEqual([true, false]);
    expect(refusalOf(() => book.of({ profile: 'dragon' })).fields[0]).toMatchObject({ path: 'profile' });
  });

  it('puts the rules of a species in the place of those of the same name, and adds others', () => {
    const [first] = MANTIS.fit;
    if (!first) throw new Error('The profile has no rules.');
    const higher = { ...first, min: { of: 'bodyLengthMm' as const, times: 4 } };
    const extra = { ...first, id: 'extra' };
    const changed = withOverrides(MANTIS, { fit: [higher, extra], making: { dampWetness: 0.7 } });
    expect(changed.fit[0]).toBe(higher);
    expect(changed.fit).toHaveLength(MANTIS.fit.length + 1);
    expect(changed.making).toEqual({ ...MANTIS.making, dampWetness: 0.7 });
    expect(withOverrides(MANTIS, undefined)).toBe(MANTIS);
  });
});
