import { shippedProfiles } from '@/contract/shipped';
import { MOULT_SIGNS, type Stage } from '@/core/profiles/profile';
import { lifeEvents } from './lifeEvents';
import { hadItsLastMoult } from './moulting';
import { tellingSigns } from './tellingSigns';

const profileOf = (id: string) => {
  const found = shippedProfiles.find((each) => each.id === id);
  if (!found) throw new Error(id);
  return found;
};

/**
 * How each class grows is in any textbook of the group: spiders of the larger kinds and millipedes moult as adults, scorpions,
 * mantids, bugs and stick insects end with the last moult, moths and beetles rest as pupae, snails never moult.
 * Source: Brusca and Brusca, Invertebrates; from memory.
 */
describe('what is written down next of', () => {
  it.each<[string, Stage, 'single' | 'group' | 'colony' | 'eggs', string[]]>([
    ['ground-tarantula', 'adult', 'single', ['moult']],
    ['millipede-tropical', 'adult', 'group', ['moult', 'count']],
    ['desert-scorpion', 'adult', 'single', []],
    ['desert-scorpion', 'juvenile', 'single', ['moult']],
    ['mantis', 'adult', 'single', []],
    ['stick-insect', 'nymph', 'group', ['moult', 'count']],
    ['stick-insect', 'adult', 'group', ['count']],
    ['stick-insect', 'egg', 'eggs', ['hatching']],
    ['moth-tropical', 'larva', 'group', ['moult', 'pupation', 'count']],
    ['moth-tropical', 'pupa', 'single', ['emergence']],
    ['moth-tropical', 'adult', 'group', ['count']],
    ['desert-darkling-beetle', 'pupa', 'group', ['emergence', 'count']],
    ['desert-darkling-beetle', 'larva', 'group', ['count', 'pupation']],
    ['land-snail', 'juvenile', 'single', []],
    ['land-snail', 'adult', 'group', ['count']],
    ['isopod-temperate', 'juvenile', 'group', ['count']],
    ['ant-small-temperate', 'adult', 'colony', ['count']],
  ])('%s, %s, a %s', (id, stage, form, events) => {
    expect(lifeEvents(profileOf(id), stage, form)).toEqual(events);
  });

  it('a young one of any kind that is followed is a moult, and a pupa is no end', () => {
    for (const profile of shippedProfiles)
      for (const stage of profile.stages) {
        const events = lifeEvents(profile, stage, 'single');
        if (stage === 'pupa') expect([profile.id, events]).toEqual([profile.id, ['emergence']]);
        else if (stage !== 'adult' && stage !== 'egg' && profile.measure.usualMm === undefined)
          expect([profile.id, stage, events[0]]).toEqual([profile.id, stage, 'moult']);
      }
  });
});

// The same groups: what never moults has no last moult behind it, and what comes out of a pupa has one before it.
it.each<[string, Stage, boolean]>([
  ['mantis', 'adult', true],
  ['mantis', 'nymph', false],
  ['desert-darkling-beetle', 'adult', true],
  ['moth-tropical', 'pupa', false],
  ['moth-tropical', 'adult', true],
  ['ground-tarantula', 'adult', false],
  ['isopod-temperate', 'adult', false],
  ['land-snail', 'adult', false],
])('%s, %s: its last moult is behind it: %s', (id, stage, isBehind) => {
  expect(hadItsLastMoult(profileOf(id), stage)).toBe(isBehind);
});

it('a snail, a grown mantis and a culture show no sign of a moult, a nymph all of them, each once', () => {
  expect(tellingSigns(profileOf('land-snail'), 'adult')).toEqual(['sealed', 'buried']);
  expect(tellingSigns(profileOf('mantis'), 'adult')).toEqual([]);
  expect(tellingSigns(profileOf('isopod-temperate'), 'adult')).toEqual([]);
  expect([...tellingSigns(profileOf('mantis'), 'nymph')].sort()).toEqual([...MOULT_SIGNS].sort());
});
