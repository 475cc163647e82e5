import { prepareHomes, rankPrepared } from '@/core/housing/rank';
import { statusOf } from '@/core/housing/fit';
import { boxOfSize, isMadeFor } from '@/core/housing/ladder';
import type { AiredHome } from '@/core/climate/homeAir';
import { careBook, type CareBook } from '@/core/profiles/careBook';
import { hatchlingMm } from '@/core/profiles/eggs';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import type { Knowledge } from './knowledge';

/** Somebody in a home, about whom everything is asked that a keeper may ask. */
export interface AnimalCase {
  profile: string;
  scientificName?: string | undefined;
  stage: Stage;
  /** Of the measure that is taken of its kind; left out for those that are counted. mm */
  sizeMm?: number | undefined;
  headCount?: number | undefined;
  home: AiredHome;
  /** What it is filled with, where that is not the usual mix of who lives there. */
  mixId?: string | undefined;
}

/** Hatchlings are so many times smaller than the grown where nobody knows the width of the young. Chosen here */
const GROWS_TIMES = 8;
/** So many heads of a kind that lives in groups. Chosen here */
const HEADS = 12;
const WORKERS = 200;

/**
 * One animal of every kind at every stage, and a grown one of every species that differs from its kind, each in the smallest box to be
 * bought that serves it, filled and furnished as is usual for it.
 */
export function usualCases(knowledge: Knowledge): AnimalCase[] {
  const care = careBook(knowledge.profiles, knowledge.species);
  const ofKinds = knowledge.profiles.flatMap(({ id, stages }) =>
    stages.flatMap((stage) => usualCase(care, knowledge, { profile: id, stage })),
  );
  const ofSpecies = knowledge.species.flatMap(({ name, profile, overrides }) => {
    const stage = knowledge.profiles.find(({ id }) => id === profile)?.stages.at(-1);
    if (!overrides || !stage) return [];
    return usualCase(care, knowledge, { profile, scientificName: name, stage });
  });
  return [...ofKinds, ...ofSpecies];
}

type Who = Pick<AnimalCase, 'profile' | 'scientificName' | 'stage'>;

function usualCase(care: CareBook, { boxSizes }: Knowledge, who: Who): AnimalCase[] {
  const profile = care.of(who);
  const { measure, company, making, silhouette } = profile;
  const isCounted = measure.usualMm !== undefined || company.sameKind === 'group';
  const headCount = silhouette === 'ant' ? WORKERS : isCounted ? HEADS : undefined;
  const sizeMm = measure.usualMm ? undefined : usualSizeMm(profile, who.stage);
  const animal = { stage: who.stage, headCount, [measure.takes]: sizeMm };
  const sizes = boxSizes.filter((size) => isMadeFor(size, profile));
  const boxes = prepareHomes(sizes.map((size) => ({ ...boxOfSize(size), asItStands: false })));
  const ranked = rankPrepared(profile, animal, boxes);
  const best = ranked.order[0] ?? 0;
  const size = sizes[best];
  if (!size || statusOf(ranked.scores[best] ?? Infinity) === 'fail') return [];
  const home: AiredHome = {
    container: size.container,
    substrateDepthMm: ranked.depthsMm[best] ?? 0,
    furniture: making.furniture,
    litterDepthMm: making.litterMm,
    ...(size.nest && { nest: size.nest }),
  };
  return [{ ...who, sizeMm, headCount, home }];
}

/** Of the taken measure, stage by stage by equal ratios from the hatchling to the grown. mm */
function usualSizeMm(profile: CareProfile, stage: Stage): number {
  const grownMm = profile.growth.grownMm.value;
  const firstMm = hatchlingMm(profile) ?? grownMm / GROWS_TIMES;
  const place = profile.stages.indexOf(stage) / Math.max(1, profile.stages.length - 1);
  return firstMm * (grownMm / firstMm) ** place;
}
