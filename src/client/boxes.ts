import type { Room } from '@/contract/readings';
import type { Home, Resident, Shelf } from '@/contract/records';
import { withUsualAir } from '@/core/climate/homeAir';
import { sizesToGet } from '@/core/house/sizesToGet';
import { codeAfter } from '@/core/housing/codes';
import type { BoxSize } from '@/core/housing/ladder';
import { rankHomes, type RankedHome } from '@/core/housing/rank';
import { companyWith, together } from '@/core/housing/together';
import { tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';
import { warmthVerdict } from '@/core/profiles/warmth';
import { isEggs, lodgerOf, tenantsBeside, type Joining } from './company';
import { asked, settledIn, type Measured } from './fitting';
import { airAt } from './rooms';

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

/** A box of a usual size that is put forward for a newcomer, as the home that it would be. */
export interface NewBox {
  home: Home;
  /** What it is called where it is sold. */
  size: string;
  ranked: RankedHome;
}

/** Usual sizes of box that serve an animal, the best first. */
export function newBoxesFor(
  care: CareBook,
  animal: Measured,
  sizes: readonly BoxSize[],
  place: Pick<Home, 'code' | 'shelfId' | 'temperatureC'>,
): NewBox[] {
  const profile = care.of(animal);
  if (!tellsSize(profile, animal)) return [];
  return sizesToGet(profile, asked(care, animal), sizes, place.temperatureC).flatMap((ranked) => {
    const size = sizes.find(({ id }) => id === ranked.homeId);
    return size ? [{ ranked, size: size.name, home: homeOf(size, place) }] : [];
  });
}

const homeOf = ({ id, container, nest }: BoxSize, place: Pick<Home, 'code' | 'shelfId' | 'temperatureC'>): Home => ({
  ...{ id, ...place, place: 0, container, nest, substrateDepthMm: 0, residentIds: [] },
  ...{ mixId: null, weightLimitKg: null, quarantineSince: null, photoVersion: null },
});

/** The shelf that is put forward for a newcomer: the first whose room is warm enough for its kind, else the first of all. */
export function shelfFor(
  shelves: readonly Shelf[],
  rooms: readonly Room[] | undefined,
  profile: CareProfile | undefined,
): Shelf | undefined {
  const suits = (shelf: Shelf) => {
    const air = airAt(rooms, shelf);
    return air && profile && warmthVerdict(profile.climate.temperatureC, air.temperatureC).status === 'pass';
  };
  return shelves.find(suits) ?? shelves[0];
}

/** What a new box is called: on from the last one of its shelf. Empty where no code goes on from that. */
export function nextCode(homes: readonly Home[], shelf: Pick<Shelf, 'id'> | undefined): string {
  const last = homes.findLast(({ shelfId }) => shelfId === shelf?.id) ?? homes.at(-1);
  const taken = homes.map(({ code }) => code);
  return last ? (codeAfter(last.code, taken) ?? '') : 'A1';
}
