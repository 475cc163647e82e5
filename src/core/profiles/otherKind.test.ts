import { profileOf } from '@/contract/testing/profileOf';
import { shippedProfiles } from '@/contract/shipped';
import { requireStage, takenMeasure } from './animal';
import { carriedOver } from './otherKind';

const spider = profileOf('ground-tarantula');
const mantis = profileOf('mantis');
const ant = profileOf('ant-leafcutter');
const isopod = profileOf('isopod-temperate');
const jumper = profileOf('jumping-spider');

describe('what is carried over to another kind', () => {
  const young = { stage: 'juvenile', form: 'single', legSpanMm: 20 } as const;

  it.each([
    // The number that was read from the ruler stays, under the name of what is measured of the kind.
    ['a length under the other name', spider, mantis, young, { bodyLengthMm: 20 }],
    ['nothing where both measure the same', mantis, jumper, { ...young, legSpanMm: undefined, bodyLengthMm: 20 }, {}],
    ['nothing where the kind reckons it from what was measured', spider, jumper, young, {}],
    ['no length for a kind that is counted', spider, isopod, young, {}],
    ['the colony, by its grown ones', spider, ant, young, { stage: 'adult', form: 'colony' }],
    ['the grown to the grown', spider, mantis, { ...young, stage: 'adult' }, { bodyLengthMm: 20 }],
    [
      'the young to the young',
      mantis,
      isopod,
      { stage: 'nymph', form: 'single', bodyLengthMm: 9 },
      { stage: 'juvenile' },
    ],
    ['a single animal out of a colony', ant, isopod, { stage: 'adult', form: 'colony' }, { form: 'single' }],
    [
      'a group out of a colony of so many',
      ant,
      isopod,
      { stage: 'adult', form: 'colony', headCount: 5 },
      { form: 'group' },
    ],
    // Its own length was taken back: the other one is better than none.
    ['a length that says nothing of its own kind', mantis, mantis, young, { bodyLengthMm: 20 }],
    ['eggs as eggs', mantis, isopod, { stage: 'egg', form: 'eggs', headCount: 5 }, {}],
  ] as const)('%s', (_, from, to, animal, carried) => {
    expect(carriedOver(from, to, animal)).toEqual(carried);
  });

  it('can be worked out, from every kind to every other and in every stage', () => {
    for (const from of shippedProfiles) {
      for (const to of shippedProfiles) {
        for (const stage of from.stages.filter((each) => each !== 'egg')) {
          const before = { stage, form: 'single' as const, [from.measure.takes]: 20 };
          const after = { ...before, ...carriedOver(from, to, before) };
          expect(() => requireStage(to, after.stage)).not.toThrow();
          expect(takenMeasure(to, after).mm).toBeGreaterThan(0);
        }
      }
    }
  });
});
