import fc from 'fast-check';
import { shippedStillness } from '@/contract/shipped';
import { materials, profileOf } from '@/contract/testing/profileOf';
import { container, TODAY } from '@/contract/testing/spiderToday';
import { questionOf, USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import { stillness } from '@/core/growth/stillness';
import { CASE_ANSWERS, companyCase, dice, fitCase, stillCase, waterCase } from './cases';

const seeds = fc.nat(100_000);
const guide = shippedStillness.find(({ silhouettes }) => silhouettes.includes('tarantula'));
if (!guide) throw new Error('a guide was expected');

describe('the trainer', () => {
  it('asks the same for the same seed', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        expect(stillCase(guide, undefined, dice(seed))).toEqual(stillCase(guide, undefined, dice(seed)));
      }),
    );
  });

  it('takes the answer of the stillness engine, within the days of the kind', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const made = stillCase(guide, 30, dice(seed));
        expect(made.daysStill).toBeGreaterThanOrEqual(1);
        expect(made.daysStill).toBeLessThanOrEqual(guide.longestDays);
        expect(made.right).toBe(stillness(guide, made.daysStill, made.seen, 30).verdict);
        expect(CASE_ANSWERS.still).toContain(made.right);
      }),
    );
  });

  it('damps what is under its limit, lets dry what is wetter than it is kept, and waits between', () => {
    const profile = profileOf('isopod-temperate');
    const home = { container, substrateDepthMm: 60 };
    const question = questionOf(profile, 'adult', home, USUAL_ROOM, [{ material: 'coir', parts: 1 }], materials, 1);
    const kept = question.wetness.damp;
    const limit = wishesOf(profile).dampWetnessMin ?? 0;
    const seen = new Set<string>();
    fc.assert(
      fc.property(seeds, (seed) => {
        const made = waterCase(question, wishesOf(profile), TODAY, dice(seed));
        if (!made) throw new Error('a case was expected');
        seen.add(made.right);
        if (made.wetness < limit) expect(made.right).toBe('damp-now');
        if (made.wetness > kept + 0.1) expect(made.right).toBe('let-dry');
        if (made.right === 'wait') expect(made.dueOn === null || made.dueOn > TODAY).toBe(true);
      }),
      { numRuns: 60, seed: 3 },
    );
    expect([...seen].sort()).toEqual(['damp-now', 'let-dry', 'wait']);
    expect(waterCase({ ...question, box: { ...question.box, dampHeldKg: 0 } }, {}, TODAY, dice(1))).toBeNull();
  });

  it('asks for the verdict of a box and of company', () => {
    const spider = { profile: profileOf('ground-tarantula'), stage: 'adult' as const, legSpanMm: 118, log: [] };
    const home = { container, substrateDepthMm: 130 };
    expect(fitCase(spider.profile, { ...spider, home }, home).right).toBe('pass');
    const tall = { container: { ...container, heightMm: 600 }, substrateDepthMm: 130 };
    expect(fitCase(spider.profile, { ...spider, home }, tall).right).toBe('fail');
    const lodger = (label: string, scientificName: string, id: string) => ({
      ...{ label, scientificName, profile: profileOf(id) },
    });
    const two = companyCase([
      lodger('one', 'Tliltocatl albopilosus', 'ground-tarantula'),
      lodger('other', 'Tliltocatl albopilosus', 'ground-tarantula'),
    ]);
    expect(two.right).toBe('fail');
    const soil = lodger('soil', 'Folsomia candida', 'springtail');
    expect(companyCase([lodger('one', 'Porcellio laevis', 'isopod-temperate'), soil]).right).toBe('pass');
  });
});
