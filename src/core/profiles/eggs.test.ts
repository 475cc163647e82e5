import { shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { fit } from '@/core/housing/fit';
import type { Container } from '@/core/housing/container';
import { company } from '@/core/housing/company';
import { dueWork } from '@/core/plan/due';
import { asEggs, hatchlingMm } from './eggs';
import { careBook } from './careBook';

const TODAY = '2026-03-14';
const box = (holeMm: number): Container => ({
  ...{ shape: 'box', lengthMm: 100, widthMm: 80, heightMm: 60, lid: 'solid' },
  vents: [{ side: 'left', shape: 'hole', count: 4, diameterMm: holeMm, centreHeightMm: 40 }],
});

describe('eggs', () => {
  it('are neither fed nor moved for their size, whatever they become', () => {
    for (const profile of shippedProfiles.filter((each) => !each.stages.includes('egg'))) {
      const eggs = asEggs(profile);
      const resident = { profile: eggs, stage: 'egg' as const, headCount: 30 };
      const home = { container: box(0.05), substrateDepthMm: 20 };
      const { jobs } = dueWork({ ...resident, home, log: [] }, TODAY);
      expect(jobs.map((job) => job.kind).filter((kind) => kind !== 'mist')).toEqual([]);
      expect(eggs.growth.grownStages).toContain('egg');
    }
  });

  it('are held to the holes that would let hatchlings out', () => {
    const eggs = asEggs(profileOf('stick-insect'));
    const verdict = (holeMm: number) =>
      fit(eggs, { stage: 'egg', headCount: 30, container: box(holeMm), substrateDepthMm: 20 }).verdict;
    expect(verdict(5)).toBe('watch');
    expect(verdict(0.5)).toBe('pass');
  });

  it('may lie with others, and keep the profile of a kind that has a stage of eggs, but that nobody measures them', () => {
    const moth = profileOf('moth-cold-egg');
    const { usualMm, ...measure } = asEggs(moth).measure;
    expect({ ...asEggs(moth), measure }).toEqual(moth);
    expect(usualMm?.value).toBeLessThan(2);
    expect(asEggs(profileOf('ant-small-temperate'))).toBe(profileOf('ant-small-temperate'));
    const book = careBook([profileOf('mantis')], []);
    const eggs = book.of({ profile: 'mantis', stage: 'egg' });
    expect(book.of({ profile: 'mantis', stage: 'egg' })).toBe(eggs);
    expect(book.of({ profile: 'mantis', stage: 'nymph' }).stages).not.toContain('egg');
    const lodger = (label: string) => ({
      label,
      scientificName: 'Hierodula membranacea',
      profile: eggs,
      headCount: 40,
    });
    expect(company([lodger('one'), lodger('other')]).verdict).not.toBe('fail');
  });

  // From memory: hatchlings of a giant mantis measure about 10 mm, those of a stick insect 10 to 17 mm.
  it('give hatchlings of a likely size', () => {
    expect(hatchlingMm(profileOf('mantis'))).toBeCloseTo(10, 6);
    expect(hatchlingMm(profileOf('stick-insect')) ?? NaN).toBeLessThan(17);
    expect(hatchlingMm(profileOf('ground-tarantula'))).toBeNull();
    expect(hatchlingMm(profileOf('isopod-temperate'))).toBeNull();
  });
});
