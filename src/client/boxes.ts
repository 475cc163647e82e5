import type { Home, Resident, Shelf } from '@/contract/records';
import { withUsualAir } from '@/core/climate/homeAir';
import { codeAfter } from '@/core/housing/codes';
import { isMadeFor, type BoxSize } from '@/core/housing/ladder';
import { rankHomes, type RankedHome } from '@/core/housing/rank';
import { companyWith, together } from '@/core/housing/together';
import { tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { isEggs, lodgerOf, tenantsBeside, type Joining } from './company';
import { asked, settledIn, type Measured } from './fitting';

/** Boxes for an animal, best first: those that are put forward, and those where it would live with others that it bears. */
export interface Boxes {
  ranking: RankedHome[];
  withOthers: RankedHome[];
}

/** The homes that an animal may live in, its own among them; none where those who live there and it must not meet. */
export function boxesFor(
  care: CareBook,
  animal: Measured & Joining & { homeId?: string },
  homes: readonly Home[],
  residents: readonly Resident[],
): Boxes {
  const profile = care.of(animal);
  if (!tellsSize(profile, animal)) return { ranking: [], withOthers: [] };
  const open: Home[] = [];
  const borne: Home[] = [];
  for (const home of homes) {
    const tenants = tenantsBeside(animal, home, residents);
    const { verdict, isProposed } = companyWith(
      lodgerOf(care, animal),
      tenants.map((each) => lodgerOf(care, each)),
    );
    if (isProposed || home.id === animal.homeId) open.push(home);
    else if (verdict !== 'fail') borne.push(home);
  }
  const rank = (list: Home[]) => {
    const mate = (each: Joining) => ({ profile: care.of(each), headCount: each.headCount, isEggs: isEggs(each) });
    const candidates = list.map((home) => {
      const others = tenantsBeside(animal, home, residents).map(mate);
      const { headsTogether = 0, isGuest } = together(mate(animal), others);
      return withUsualAir({
        ...home,
        settled: settledIn(home, animal),
        // Its air as the house says; in an empty box as its openings are.
        airChangesPerHour: home.state?.air?.airChangesPerHour,
        asItStands: others.length > 0 || home.id === animal.homeId,
        headsOfKind: Math.max(0, headsTogether - (animal.headCount ?? (others.length > 0 ? 1 : 0))),
        isHost: isGuest,
      });
    });
    const alone = { ...asked(care, animal), headsTogether: undefined, isGuest: undefined };
    return rankHomes(profile, alone, candidates, animal.schools?.openings);
  };
  return { ranking: rank(open), withOthers: rank(borne) };
}

/** So many sizes are put forward: the smallest that serve. */
const SIZES_OFFERED = 3;

/** Usual sizes of box that serve an animal, the best first, as homes that nobody has yet. */
export function sizesToGet(
  care: CareBook,
  animal: Measured,
  sizes: readonly BoxSize[],
  code: string,
): { homes: Home[]; ranking: RankedHome[] } {
  const profile = care.of(animal);
  if (!tellsSize(profile, animal)) return { homes: [], ranking: [] };
  const homes = sizes.filter((size) => isMadeFor(size, profile)).map((size) => boxOfSize(size, code));
  const ranking = rankHomes(
    profile,
    asked(care, animal),
    homes.map((home) => ({ ...withUsualAir(home), asItStands: true })),
    animal.schools?.openings,
  )
    .filter(({ verdict }) => verdict !== 'fail')
    .sort((a, b) => Number(a.verdict !== 'pass') - Number(b.verdict !== 'pass') || moultsServed(b) - moultsServed(a))
    .slice(0, SIZES_OFFERED);
  return { homes, ranking };
}

/** Whoever gets a box gets one for longer than to the next moult. */
const moultsServed = ({ afterMoults }: RankedHome) =>
  [...afterMoults, { verdict: 'fail' }].findIndex(({ verdict }) => verdict === 'fail');

const boxOfSize = ({ id, container, nest }: BoxSize, code: string): Home => ({
  ...{ id, code, shelfId: '', place: 0, container, nest, substrateDepthMm: 0, residentIds: [] },
  ...{ mixId: null, weightLimitKg: null, quarantineSince: null, photoVersion: null },
});

/** What a new box is called: on from the last one of its shelf. Empty where no code goes on from that. */
export function nextCode(homes: readonly Home[], shelf: Pick<Shelf, 'id'> | undefined): string {
  const last = homes.findLast(({ shelfId }) => shelfId === shelf?.id) ?? homes.at(-1);
  const taken = homes.map(({ code }) => code);
  return last ? (codeAfter(last.code, taken) ?? '') : 'A1';
}
