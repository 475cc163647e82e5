import { dequal } from 'dequal/lite';
import { withoutAuthor } from '@/core/measure/nameParts';
import { usualRatio } from './animal';
import type { School } from './schools';
import type { ColonyDiet } from './diet';
import type { CareProfile, FitRule, Fact, NestSpace } from './profile';

/** What a species does otherwise than the profile it names. Rules replace those of the same id; others are added. */
export interface SpeciesOverrides {
  grownMm?: Fact;
  maleTimes?: Fact;
  usualMm?: Fact;
  youngWidthMm?: Fact;
  proportions?: CareProfile['proportions'];
  fit?: FitRule[];
  making?: Partial<CareProfile['making']>;
  climate?: Partial<CareProfile['climate']>;
  /** Of ants: what its colonies eat, and how they live in a nest. */
  colonyDiet?: Partial<Omit<ColonyDiet, 'eats'>>;
  nest?: Partial<NestSpace>;
  /** Ids of the plants that it eats, the usual one first. */
  plants?: string[];
  /** Ways of keeping that only this species has. */
  schools?: School[];
}

/** The profile as it holds for a species: its own numbers where it has any. */
export function withOverrides(profile: CareProfile, overrides: SpeciesOverrides | undefined): CareProfile {
  if (!overrides) return profile;
  const { grownMm, maleTimes, usualMm, youngWidthMm, proportions, fit, making, climate, plants } = overrides;
  const { colonyDiet, nest, schools = [] } = overrides;
  const own = fit ?? [];
  return {
    ...profile,
    schools: [...profile.schools, ...schools],
    growth: { ...profile.growth, ...(grownMm && { grownMm }), ...(maleTimes && { maleTimes }) },
    measure: usualMm ? { ...profile.measure, usualMm } : profile.measure,
    proportions: { ...profile.proportions, ...proportions },
    making: { ...profile.making, ...making },
    climate: { ...profile.climate, ...climate },
    ...(plants && profile.diet && 'plants' in profile.diet && { diet: { ...profile.diet, plants } }),
    ...(colonyDiet && profile.diet?.eats === 'colony-food' && { diet: { ...profile.diet, ...colonyDiet } }),
    ...(nest && profile.nest && { nest: { ...profile.nest, ...nest } }),
    ...(youngWidthMm && { young: { widthMm: youngWidthMm } }),
    fit: [
      ...profile.fit.map((rule) => own.find((each) => each.id === rule.id && each.school === rule.school) ?? rule),
      ...own.filter((rule) => !profile.fit.some((each) => each.id === rule.id && each.school === rule.school)),
    ],
  };
}

/** What of a profile each override replaces. */
const REPLACED: Record<keyof SpeciesOverrides, (profile: CareProfile) => unknown> = {
  grownMm: ({ growth }) => growth.grownMm,
  maleTimes: ({ growth }) => growth.maleTimes,
  usualMm: ({ measure }) => measure.usualMm,
  youngWidthMm: ({ young }) => young?.widthMm,
  proportions: ({ proportions }) => proportions,
  fit: ({ fit }) => fit,
  making: ({ making }) => making,
  climate: ({ climate }) => climate,
  plants: ({ diet }) => diet,
  colonyDiet: ({ diet }) => diet,
  nest: ({ nest }) => nest,
  schools: ({ schools }) => schools,
};

/** What a species does otherwise, as far as a keeper's copy of its kind has not said something else. */
export function unchanged(
  copy: CareProfile,
  origin: CareProfile,
  overrides: SpeciesOverrides | undefined,
): SpeciesOverrides {
  if (!overrides || copy === origin) return overrides ?? {};
  const isKept = (of: (profile: CareProfile) => unknown) => dequal(of(copy), of(origin));
  return Object.fromEntries(
    Object.entries(overrides).filter(([field]) => isKept(REPLACED[field as keyof SpeciesOverrides])),
  );
}

/** A listed species, as far as its genus is told by it. */
interface Listed {
  name: string;
  profile: string;
  overrides?: SpeciesOverrides | undefined;
}

/**
 * What is known of a species that nobody listed by others of its genus that are kept by the same profile: the middle of their
 * lengths, all their plants, and whatever else they all have alike. Undefined where there is none.
 */
export function overridesOfGenus(
  species: readonly Listed[],
  scientificName: string,
  profile: string,
): SpeciesOverrides | undefined {
  const genus = `${withoutAuthor(scientificName).split(' ')[0] ?? ''} `;
  const kin = species.filter((each) => each.profile === profile && each.name.startsWith(genus));
  const told = kin.map(({ overrides = {} }) => overrides);
  const [first, ...others] = told;
  if (!first) return undefined;
  const alike = Object.entries(first).filter(([field, value]) =>
    others.every((each) => dequal(each[field as keyof SpeciesOverrides], value)),
  );
  const plants = [...new Set(told.flatMap((each) => each.plants ?? []))];
  const grownMm = middleOf(told.flatMap((each) => each.grownMm ?? []));
  return { ...Object.fromEntries(alike), ...(plants.length > 0 && { plants }), ...(grownMm && { grownMm }) };
}

/** The middle one of some numbers, of two the smaller. */
function middleOf(facts: readonly Fact[]): Fact | undefined {
  return [...facts].sort((a, b) => a.value - b.value)[Math.floor((facts.length - 1) / 2)];
}

/** A profile as it holds for males: they may stay smaller, and moult no more where females do. */
export function asMale(profile: CareProfile): CareProfile {
  const { grownMm, maleTimes, grownStages, maleGrownStages = grownStages } = profile.growth;
  if (!maleTimes && maleGrownStages === grownStages) return profile;
  const male = maleTimes && { value: grownMm.value * maleTimes.value, basis: maleTimes.basis };
  return { ...profile, growth: { ...profile.growth, grownStages: maleGrownStages, ...(male && { grownMm: male }) } };
}

/** What is known of one animal of how large it becomes. */
export interface GrowsTo {
  stage?: string | undefined;
  /** As its keeper says. mm, of the measure that is taken */
  grownMm?: number | null | undefined;
  /** As large it is now, mm, and whether that was measured. */
  sizeMm?: number | undefined;
  isCarriedOn: boolean;
}

/** Measured so near to what is usual, one that moults still becomes larger than that. Chosen here */
const AS_GOOD_AS = 0.98;

/**
 * How large one becomes: as its keeper says; else as its kind does; and never smaller than it is. One that is
 * measured as large as its kind becomes and moults still grows by a moult more.
 */
export function grownSizeOf(profile: CareProfile, one: GrowsTo): Fact {
  const { growth } = profile;
  if (one.grownMm) return { value: one.grownMm, basis: 'your own setting' };
  const size = one.sizeMm ?? 0;
  const moultsStill = !growth.grownStages.some((each) => each === one.stage);
  const isAsLarge = moultsStill && !one.isCarriedOn && size >= AS_GOOD_AS * growth.grownMm.value;
  const atLeast = isAsLarge ? size * usualRatio(profile, one.stage) : size;
  return atLeast > growth.grownMm.value ? { value: Math.round(atLeast), basis: 'from memory' } : growth.grownMm;
}
