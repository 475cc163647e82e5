import { shippedMixes, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { Home, Resident } from '@/contract/records';
import { materials } from '@/contract/testing/profileOf';
import { careBook } from '@/core/profiles/careBook';
import { boxesFor } from './boxes';
import { companyOf } from './company';
import { askedOf, fitOf, sectionOf, soilEntry, subjectOf, withSoil } from './fitting';
import { planOf } from './planOf';
import { fillingMassG, loadOf } from './weights';

const care = careBook(shippedProfiles, shippedSpecies);
const home = (change: Partial<Home> = {}): Home => ({
  id: 'h1',
  code: 'B3',
  shelfId: 's1',
  place: 1,
  container: {
    shape: 'box',
    lengthMm: 310,
    widthMm: 240,
    heightMm: 296,
    lid: 'solid',
    vents: [
      { side: 'left', shape: 'hole', count: 4, diameterMm: 3 },
      { side: 'right', shape: 'hole', count: 4, diameterMm: 3 },
    ],
  },
  substrateDepthMm: 98,
  mixId: null,
  weightLimitKg: null,
  quarantineSince: null,
  photoVersion: null,
  residentIds: [],
  ...change,
});
const resident = (change: Partial<Resident> = {}): Resident => ({
  id: 'r1',
  called: 'Bramble',
  scientificName: 'Tliltocatl albopilosus',
  commonName: null,
  ...{ form: 'single', sexBy: null, bornOn: null, motherId: null, fatherId: null, outOfId: null, batch: null },
  profile: 'ground-tarantula',
  kind: 'ground-tarantula',
  stage: 'adult',
  legSpanMm: 118,
  measuredOn: '2026-03-01',
  sex: 'female',
  source: null,
  permit: null,
  ...{ schools: {}, forbidden: {}, keptSo: {} },
  takenInOn: '2026-01-01',
  homeId: 'h1',
  ...change,
});
const isopods = resident({
  id: 'r2',
  called: null,
  scientificName: 'Porcellio laevis',
  profile: 'isopod-temperate',
  legSpanMm: undefined,
  headCount: 40,
});

describe('soil that is tried', () => {
  const sloped = home({ soil: { shape: 'slope', frontMm: 118, backMm: 78 } });
  it('is raised with its surface, or given another', () => {
    expect(withSoil(home(), 98)).toEqual(home());
    expect(withSoil(sloped, 108)).toMatchObject({
      substrateDepthMm: 108,
      soil: { shape: 'slope', frontMm: 128, backMm: 88 },
    });
    expect(withSoil(home(), { shape: 'terraces', depthsMm: [60, 90] })).toMatchObject({ substrateDepthMm: 75 });
  });
  it('is written down as it stands: a flat one as its depth alone', () => {
    expect(soilEntry(home(), 119)).toEqual({ kind: 'soil-set', homeId: 'h1', substrateDepthMm: 119 });
    expect(soilEntry(sloped, 108)).toMatchObject({ substrateDepthMm: 108, soil: { frontMm: 128 } });
    expect(soilEntry(sloped, { shape: 'flat', depthMm: 70 })).toEqual({
      kind: 'soil-set',
      homeId: 'h1',
      substrateDepthMm: 70,
    });
  });
});

describe('verdicts on this device', () => {
  it('are those of the engine', () => {
    expect(fitOf(care, home(), resident()).verdict).toBe('fail');
    expect(fitOf(care, withSoil(home(), 119), resident()).verdict).toBe('pass');
  });
  it('rank homes, and leave out what only people read when they ask the worker', () => {
    expect(boxesFor(care, resident(), [home()], []).ranking[0]).toMatchObject({ code: 'B3', depthMm: 119 });
    expect(Object.keys(askedOf(care, resident())).sort()).toEqual([
      'bodyLengthMm',
      'carapaceWidthMm',
      'headCount',
      'id',
      'legSpanMm',
      'profile',
      'school',
      'sizeCarriedOn',
      'stage',
    ]);
  });
  describe('put boxes forward', () => {
    const codes = (animal: Resident, residents: Resident[], homes = [home(), home({ id: 'h2', code: 'B4' })]) => {
      const { ranking, withOthers } = boxesFor(care, animal, homes, residents);
      return [ranking, withOthers].map((list) => list.map(({ code }) => code));
    };
    const newcomer = { ...isopods, id: 'new', homeId: '' };

    it('that are free, or hold a group of its kind: its heads count with those that come', () => {
      expect(codes(newcomer, [])).toEqual([['B3', 'B4'], []]);
      expect(codes(newcomer, [isopods])).toEqual([['B3', 'B4'], []]);
      const checks = (animal: Resident, there: Resident[]) =>
        boxesFor(care, animal, [home()], there).ranking[0]?.fit.checks;
      expect(checks(newcomer, [{ ...isopods, headCount: 4000 }])).toEqual(checks({ ...newcomer, headCount: 4040 }, []));
    });

    it('where others live that it bears only when they are asked for, and never with those it must not meet', () => {
      const other = { ...isopods, id: 'r4', scientificName: 'Porcellio scaber' };
      expect(codes(newcomer, [other])).toEqual([['B4'], ['B3']]);
      expect(codes(newcomer, [resident()])).toEqual([['B4'], []]);
    });

    it('for cleaners, which live as the others live: the box of a spider is as good as theirs', () => {
      const springtails = resident({
        ...{ id: 'new', homeId: '', called: null, scientificName: 'Folsomia candida', profile: 'springtail' },
        ...{ legSpanMm: undefined, headCount: 200 },
      });
      const { ranking } = boxesFor(care, springtails, [home()], [resident()]);
      expect(ranking[0]).toMatchObject({ code: 'B3', verdict: 'pass', depthMm: 98 });
    });

    it('by the warmth of the place: what stands in the cold comes last, and says so', () => {
      const cold = home({ id: 'h2', code: 'A1', temperatureC: 12 });
      const warm = home({ temperatureC: 24 });
      const [first, last] = boxesFor(care, resident({ homeId: '' }), [cold, warm], []).ranking;
      expect([first?.code, last?.code]).toEqual(['B3', 'A1']);
      expect(last).toMatchObject({ verdict: 'fail', warmth: { temperatureC: 12, minC: 20, maxC: 29, status: 'fail' } });
    });
  });

  it('say what is missing, and draw the box alone, for one whose records tell no size', () => {
    const untold = resident({ legSpanMm: undefined });
    const { verdict, notChecked } = fitOf(care, home(), untold);
    expect([verdict, notChecked[0]?.needs]).toEqual(['watch', 'legSpanMm']);
    expect(sectionOf(care, home(), untold).animals).toEqual([]);
  });

  it('of company count everybody but the one who moves', () => {
    const other = resident({ id: 'r3', called: 'Soot' });
    expect(companyOf(care, other, home(), [resident(), other]).verdict).toBe('fail');
    expect(companyOf(care, resident(), home(), [resident()]).verdict).toBe('pass');
    expect(companyOf(care, isopods, home(), []).verdict).toBe('pass');
  });
});

describe('drawings', () => {
  it('show who lives there at its measure, spiderlings in damp soil throughout', () => {
    expect(subjectOf(care, resident())).toMatchObject({ silhouette: 'tarantula', sizeMm: 118, dampSharePct: 33 });
    expect(subjectOf(care, resident({ stage: 'spiderling', legSpanMm: 14 })).dampSharePct).toBe(100);
    expect(subjectOf(care, isopods)).toMatchObject({ silhouette: 'isopod', sizeMm: 14, headCount: 40 });
    expect(sectionOf(care, home(), undefined).animals).toEqual([]);
    expect(planOf(care, home(), resident()).animal?.sizeMm).toBe(118);
  });
});

describe('the weight of a shelf', () => {
  const mixes = [...shippedMixes];
  it('is that of its fillings, by the mix of each or the usual one of who lives there', () => {
    // 310 x 240 x 98 mm of coir, half wet: 7.2912 L x (80 + 275) g.
    expect(fillingMassG(home({ mixId: 'coir' }), undefined, care, materials, mixes)).toBeCloseTo(7.2912 * 355, 3);
    const usual = fillingMassG(home(), resident(), care, materials, mixes);
    // Coir and topsoil, a third of it at 0.55 and the rest at 0.2 of all they hold.
    const wetness = 0.33 * 0.55 + 0.67 * 0.2;
    expect(usual).toBeCloseTo(7.2912 * (465 + 485 * wetness), 3);
    expect(fillingMassG(home({ substrateDepthMm: 0 }), undefined, care, materials, mixes)).toBe(0);
  });
  it('adds up against what it bears', () => {
    const homes = [home({ mixId: 'coir' }), home({ id: 'h2', mixId: 'coir' })];
    expect(loadOf(5, homes, [], care, materials, mixes)).toMatchObject({ status: 'fail', limitKg: 5 });
    expect(loadOf(50, homes, [], care, materials, mixes).massKg).toBeCloseTo((2 * 7.2912 * 355) / 1000, 6);
  });
});
