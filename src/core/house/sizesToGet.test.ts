import { shippedBoxSizes, shippedProfiles } from '@/contract/shipped';
import { boxesToBuy } from '@/core/housing/ladder';
import type { CareProfile } from '@/core/profiles/profile';
import { sizesToGet } from './sizesToGet';

const SIZES = [...shippedBoxSizes];
/** One of a kind at a share of its full size; of those that live in numbers a few. */
const animalOf = ({ measure, growth, stages, company }: CareProfile, share: number) => ({
  ...{
    stage: stages[Math.floor(share * (stages.length - 1))] ?? 'adult',
    headCount: company.sameKind === 'group' ? 6 : undefined,
  },
  [measure.takes]: share * growth.grownMm.value,
});

describe('sizes of box to get', () => {
  it.each(shippedProfiles.map((profile) => [profile.id, profile] as const))(
    'for %s begin with the one on the shopping list',
    (_, profile) => {
      for (const share of [0.2, 0.5, 1]) {
        const animal = animalOf(profile, share);
        const [first] = sizesToGet(profile, animal, SIZES);
        const { buy } = boxesToBuy([{ id: 'one', profile, ...animal }], [], SIZES);
        expect([share, first?.homeId]).toEqual([share, buy[0]?.size.id]);
      }
    },
  );

  it('are the same on a cold shelf, and say that it is too cold there', () => {
    const tarantula = shippedProfiles.find(({ id }) => id === 'ground-tarantula') as CareProfile;
    const animal = animalOf(tarantula, 0.3);
    const there = sizesToGet(tarantula, animal, SIZES, tarantula.climate.temperatureC.min - 10);
    expect(there.map(({ homeId }) => homeId)).toEqual(sizesToGet(tarantula, animal, SIZES).map(({ homeId }) => homeId));
    expect(there.map(({ verdict, warmth }) => [verdict, warmth?.status])).toEqual(there.map(() => ['fail', 'fail']));
  });
});
