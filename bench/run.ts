import { shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { fit, fitter } from '@/core/housing/fit';
import { homeFacts } from '@/core/housing/quantities';
import { prepareHomes, rankHomes, rankPrepared, type CandidateHome } from '@/core/housing/rank';
import { benchAir } from './air';
import { benchColony } from './colony';
import { benchFeeding } from './feeding';
import { benchGrowth } from './growth';
import { benchHandbook } from './handbook';
import { median, row } from './measure';
import { benchPaper } from './paper';
import { benchPlan } from './plan';
import { benchReadings } from './readings';
import { benchResidents } from './residents';

/** A shelf of `count` different tubs; the same each time. */
function tubs(count: number): CandidateHome[] {
  return Array.from({ length: count }, (_, index) => {
    const container: Container = {
      shape: 'box',
      lengthMm: 80 + ((index * 37) % 500),
      widthMm: 60 + ((index * 53) % 400),
      heightMm: 60 + ((index * 71) % 400),
      lid: 'solid',
      vents: [
        { side: 'left', shape: 'hole', count: 6, diameterMm: 3, centreHeightMm: 55 },
        { side: 'right', shape: 'hole', count: 6, diameterMm: 3, centreHeightMm: 55 },
      ],
    };
    return { id: String(index), code: `T${index}`, container, substrateDepthMm: 20 };
  });
}

const animal = { stage: 'adult', legSpanMm: 118 } as const;
const profile = profileOf('ground-tarantula');
const five = tubs(500);

function benchFit(): void {
  /** What any ranking has to do at least: copy the tubs and sort them by size. */
  const baseline = median(() => [...five].sort((a, b) => a.container.heightMm - b.container.heightMm));
  const fitted = median(() => {
    const fitIn = fitter(profile, animal);
    return five.map((home) => fitIn.answer(homeFacts(home), home.substrateDepthMm));
  });
  const oneByOne = median(() => five.map((home) => fit(profile, { ...animal, ...home })));
  const ranked = median(() => rankHomes(profile, animal, five));

  row('baseline: 500 tubs copied and sorted by height', baseline, '');
  row('fit: 1 animal x 500 tubs as they stand', fitted, 'limit 20 ms');
  row('fit: the same, asked one by one', oneByOne, 'limit 20 ms');
  row('rank: 1 animal x 500 tubs, each at its best depth', ranked, 'limit 20 ms');
  for (const count of [250, 500, 1000, 2000]) {
    const list = tubs(count);
    row(
      `rank: 1 animal x ${count} tubs`,
      median(() => rankHomes(profile, animal, list)),
      'grows no faster than n log n',
    );
  }

  /** Residents of every kind and many sizes; the same each time. */
  const residents = Array.from({ length: 300 }, (_, index) => {
    const kind = shippedProfiles[index % shippedProfiles.length] ?? profile;
    const size = kind.growth.grownMm.value * (0.3 + ((index * 7) % 10) / 14);
    const stage = kind.stages.at(-1) ?? 'adult';
    return { profile: kind, stage, [kind.measure.takes]: size, headCount: kind.company.sameKind === 'alone' ? 1 : 20 };
  });
  /** The same work asked one home at a time, with every ground: what the numbers-only way saves. */
  const plainly = median(() => residents.slice(0, 10).map((each) => rankHomes(each.profile, each, five)));
  row('baseline: 10 residents x 500 tubs, every ground written out', plainly, '');
  for (const count of [75, 150, 300]) {
    const some = residents.slice(0, count);
    row(
      `rank: ${count} residents x 500 tubs, best depth each`,
      median(() => {
        const prepared = prepareHomes(five);
        return some.map((each) => rankPrepared(each.profile, each, prepared));
      }),
      'limit 200 ms for 300',
    );
  }
}

const PARTS: Record<string, () => unknown> = {
  fit: benchFit,
  air: benchAir,
  growth: benchGrowth,
  feeding: benchFeeding,
  colony: benchColony,
  handbook: benchHandbook,
  plan: benchPlan,
  residents: benchResidents,
  readings: benchReadings,
  paper: benchPaper,
};

/** All of them, or those named: `npm run bench -- air growth`. */
async function run(names: string[]): Promise<void> {
  for (const name of names.length > 0 ? names : Object.keys(PARTS)) {
    const part = PARTS[name];
    if (!part) throw new Error(`There is no bench of ${name}. There are ${Object.keys(PARTS).join(', ')}.`);
    await part();
  }
}

run(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
