import { JOBS, JOB_KINDS } from '@/core/plan/jobs';
import {
  shippedEggs,
  shippedHazards,
  shippedMoths,
  shippedPopulations,
  shippedProfiles,
  shippedRests,
  shippedSpecies,
} from '@/contract/shipped';
import { careBook } from '@/core/profiles/careBook';
import { BASES } from '@/core/profiles/profile';
import { CAUTIONS, dangersOf, hazardsAt, together } from '@/core/profiles/hazards';
import { careCard } from './card';

const sources = {
  rests: [...shippedRests],
  eggs: [...shippedEggs],
  moths: [...shippedMoths],
  populations: [...shippedPopulations],
};
const care = careBook(shippedProfiles, shippedSpecies);
const cardOf = (profile: string, scientificName?: string) =>
  careCard(care.of({ profile, scientificName }), sources, scientificName);

describe('the care card', () => {
  it.each([...shippedProfiles.map(({ id }) => [id, undefined]), ...shippedSpecies.map((s) => [s.profile, s.name])])(
    'of %s %s has a basis and a calculator for every number, in the order of the work',
    (profile, name) => {
      const lines = cardOf(String(profile), name);
      for (const line of lines) {
        expect(BASES).toContain(line.basis);
        if (line.basis === 'published') expect(line.source).toBeTruthy();
        if (!line.rule) expect(line.min).toBeLessThanOrEqual(line.max ?? Infinity);
      }
      const parts = new Set(lines.map(({ part }) => part));
      for (const part of ['home', 'soil', 'air', 'warmth'] as const) expect(parts).toContain(part);
    },
  );

  it('is there for sixty species at least, each with its own numbers in the place of its kind’s', () => {
    expect(shippedSpecies.length).toBeGreaterThanOrEqual(60);
    const grown = (name?: string) => cardOf('ground-tarantula', name).find(({ key }) => key === 'grown')?.min;
    expect(grown('Theraphosa blondi')).toBe(260);
    expect(grown()).toBe(150);
    // By an old name, and with its author, it is the same card.
    const blue = cardOf('burrowing-tarantula', 'Cyriopagopus lividus');
    expect(cardOf('burrowing-tarantula', 'Haplopelma lividum')).toEqual(blue);
    expect(cardOf('burrowing-tarantula', 'Cyriopagopus lividus (Smith, 1996)')).toEqual(blue);
  });

  it('names the school of what keepers differ on, and marks the usual one', () => {
    const meals = cardOf('ground-tarantula').filter(({ key }) => key === 'meals');
    expect(new Set(meals.map(({ school }) => `${school?.name} ${school?.isUsual}`))).toEqual(
      new Set(['Small and often true', 'Large and rarely false']),
    );
    const mist = cardOf('tree-tarantula').find(({ work }) => work === 'mist');
    expect(mist?.school).toEqual({ name: 'Mist to a number', isUsual: false });
  });
});

describe('dangers', () => {
  const of = (profile: string, name?: string) =>
    dangersOf(
      shippedHazards,
      profile,
      shippedSpecies.find((each) => each.name === name),
    );

  it('are those of the species; of one that nobody knows, those of its kind', () => {
    expect(of('tree-tarantula', 'Poecilotheria regalis')).toMatchObject({ of: 'species', law: { id: 'cites-2' } });
    expect(of('tree-tarantula', 'Poecilotheria regalis').hazards.map(({ id }) => id)).toEqual(['serious-venom']);
    expect(of('tree-tarantula').of).toBe('kind');
    expect(of('tree-tarantula').hazards.map(({ id }) => id)).toEqual(['barbed-hairs', 'serious-venom']);
    expect(of('mantis').hazards).toEqual([]);
  });

  it('of several at once are said once each', () => {
    const two = together([of('tree-tarantula', 'Caribena versicolor'), of('ground-tarantula', 'Tliltocatl vagans')]);
    expect([two.hazards.map(({ id }) => id), two.law, two.of]).toEqual([['barbed-hairs'], null, 'species']);
    expect(together([two, of('tree-tarantula')])).toMatchObject({ of: 'kind' });
    expect(together([]).hazards).toEqual([]);
  });

  it('are worded whole for every caution, with tools, and send to those who treat', () => {
    expect(shippedHazards.hazards.map(({ id }) => id).sort()).toEqual([...CAUTIONS].sort());
    for (const { text, tools, doNotHandle, notAlone } of shippedHazards.hazards) {
      expect(tools.length).toBeGreaterThan(0);
      if (doNotHandle) expect(text).toMatch(/emergency services|poison centre|doctor/);
      if (notAlone) expect(text).toMatch(/never alone/);
      // No treatment is given.
      expect(text).not.toMatch(/antihistamine|cortisone|tourniquet|suck|cool the|medicine/i);
    }
  });

  it('are shown before whatever opens the box of one that bites, and more before what brings it nearer', () => {
    const { hazards } = of('tree-tarantula', 'Poecilotheria regalis');
    const silent = JOB_KINDS.filter((kind) => hazardsAt(hazards, JOBS[kind].nearness).length === 0);
    // Done from outside: an alarm is looked into, a label written, papers sent off.
    expect(silent).toEqual(['alarm', 'look', 'emerge', 'label', 'papers']);
    const millipede = of('millipede-tropical', 'Archispirostreptus gigas').hazards;
    const at = (exposure: 'open' | 'soil' | 'handle') => hazardsAt(millipede, exposure).map(({ id }) => id);
    expect([at('open'), at('soil'), at('handle')]).toEqual([[], ['allergy'], ['defence-liquid', 'allergy']]);
  });
});
