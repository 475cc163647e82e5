import type { Basis } from './profile';

/** What an animal can do to its keeper. */
export const CAUTIONS = [
  'barbed-hairs',
  'serious-venom',
  'venom',
  'sting',
  'stab',
  'spray',
  'pinch',
  'bite',
  'defence-liquid',
  'allergy',
  'zoonosis',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** Why an authority may have to be asked. */
export const PERMITS = ['cites-2', 'plant-pest', 'invasive', 'protected'] as const;
export type Permit = (typeof PERMITS)[number];

/** How near a step brings a keeper: the box open, its soil turned, the animal out of it. Each is nearer than the one before. */
export const EXPOSURES = ['open', 'soil', 'handle'] as const;
export type Exposure = (typeof EXPOSURES)[number];

export interface Hazard {
  id: Caution;
  /** In two or three words, for a row of the walk. */
  title: string;
  text: string;
  /** What lies ready before the step. */
  tools: string[];
  /** What is said at the step itself. */
  atStep: string;
  doNotHandle: boolean;
  notAlone: boolean;
  /** The least exposure at which it matters. */
  from: Exposure;
  basis: Basis;
}

export interface LegalMatter {
  id: Permit;
  title: string;
  text: string;
  basis: Basis;
}

export interface HazardBook {
  hazards: Hazard[];
  laws: LegalMatter[];
  /** What is to be reckoned with in a kind while nobody knows the species. */
  kinds: { profiles: string[]; cautions: Caution[] }[];
}

/** Of a species what is known of it; of one that nobody knows, what its kind is reckoned with. */
export interface Dangers {
  hazards: Hazard[];
  law: LegalMatter | null;
  /** Its own, or only its kind's. */
  of: 'species' | 'kind';
}

/**
 * The dangers of an animal.
 * @param species what is known of it by its name; left out for a name that nobody knows
 */
export function dangersOf(
  book: HazardBook,
  profile: string,
  species: { cautions: readonly Caution[]; permit?: Permit | undefined } | undefined,
): Dangers {
  const cautions = species?.cautions ?? book.kinds.find((kind) => kind.profiles.includes(profile))?.cautions ?? [];
  return {
    hazards: book.hazards.filter(({ id }) => cautions.includes(id)),
    law: book.laws.find(({ id }) => id === species?.permit) ?? null,
    of: species ? 'species' : 'kind',
  };
}

/** The dangers of several at one step: each said once. What the law asks is said for each by itself. */
export function together(all: readonly Dangers[]): Dangers {
  const hazards = [...new Map(all.flatMap((each) => each.hazards.map((hazard) => [hazard.id, hazard]))).values()];
  const law = all.length === 1 ? (all[0]?.law ?? null) : null;
  return { hazards, law, of: all.some(({ of }) => of === 'kind') ? 'kind' : 'species' };
}

/** The hazards that a step brings, where it brings any. */
export function hazardsAt(hazards: readonly Hazard[], exposure: Exposure | null): Hazard[] {
  if (exposure === null) return [];
  const near = EXPOSURES.indexOf(exposure);
  return hazards.filter((hazard) => EXPOSURES.indexOf(hazard.from) <= near);
}
