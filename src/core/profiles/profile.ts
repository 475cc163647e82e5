/** The stages of life an animal can be recorded in, in the order it passes through them. */
export const STAGES = ['egg', 'larva', 'pupa', 'spiderling', 'nymph', 'juvenile', 'subadult', 'adult'] as const;
export type Stage = (typeof STAGES)[number];

export const SEXES = ['unknown', 'female', 'male'] as const;

export const MOULT_SIGNS = [
  'refused-food',
  'dull',
  'dark',
  'bald-patch-dark',
  'webbed',
  'sealed',
  'buried',
  'hanging',
  'contractions',
  'swollen',
] as const;
export type MoultSign = (typeof MOULT_SIGNS)[number];

/** What a number rests on. `published` goes with a source. */
export const BASES = ['published', 'common practice', 'from memory', 'your own setting'] as const;
export type Basis = (typeof BASES)[number];

export interface Ground {
  basis: Basis;
  source?: string;
}

/** One number with what it rests on. */
export interface Fact extends Ground {
  value: number;
}

/** A way of keeping that practitioners disagree about. `topic` groups the ways that exclude each other. */
export interface School {
  id: string;
  topic: 'air' | 'feeding';
  name: string;
  isDefault?: boolean;
}

/** What can be read off an animal or its container, as a yardstick for a limit. */
export const YARDSTICKS = [
  'legSpanMm',
  'bodyLengthMm',
  'carapaceWidthMm',
  'floorLongSideMm',
  'floorShortSideMm',
] as const;
export type Yardstick = (typeof YARDSTICKS)[number];

/** A limit as data: `times` x the yardstick + `plus` (mm for lengths, else in the quantity's own unit). */
export interface Limit {
  of?: Yardstick;
  times?: number;
  plus?: number;
}

/** The property of the home (or of who lives in it) that a rule looks at. */
export const QUANTITIES = [
  'floorShortSideMm',
  'heightMm',
  'substrateDepthMm',
  'surfaceToLidMm',
  'widestOpeningMm',
  'meshOverheadCount',
  'openSidePairs',
  'openSides',
  'headCount',
] as const;
export type Quantity = (typeof QUANTITIES)[number];

/**
 * One rule of a home that fits. Within [`min`, `max`] it passes; outside, but still within [`watchMin`, `watchMax`],
 * it is to be watched; beyond that it fails. `softMin` or `softMax` says that this side never does worse than watch.
 */
export interface FitRule extends Ground {
  id: string;
  quantity: Quantity;
  min?: Limit;
  watchMin?: Limit;
  softMin?: boolean;
  max?: Limit;
  watchMax?: Limit;
  softMax?: boolean;
  /** The limit itself is already too much: "a hole must be smaller than the carapace". */
  maxExcluded?: boolean;
  stages?: Stage[];
  school?: string;
  /** The verdict in a keeper's words: in order, below the minimum, above the maximum. */
  words: { pass: string; low?: string; high?: string };
  why: string;
}

/** How often a stage is offered food, and how much, in one school. */
export interface MealPlan extends Ground {
  stages: Stage[];
  school: string;
  everyDays: number;
  /** Late by more than this many days, it should not wait another. */
  toleranceDays: number;
  preyCount: number;
}

/** A piece of regular work whose interval depends on the stage. */
export interface RegularWork extends Ground {
  work: 'water' | 'damp';
  stages: Stage[];
  everyDays: number;
  toleranceDays: number;
  minutes: number;
}

/** Days after a moult during which an animal of this stage (and at least this span) is not fed or disturbed. */
export interface QuietTime extends Ground {
  stages: Stage[];
  fromLegSpanMm?: number;
  days: number;
}

export interface CareProfile {
  id: string;
  name: string;
  /** Where in the home it spends its time. */
  lives: 'ground' | 'tree';
  stages: Stage[];
  schools: School[];
  /** Ratios that turn one measure into another where only one was taken. */
  proportions: {
    bodyLengthPerLegSpan: Fact;
    carapaceWidthPerLegSpan: Fact;
    abdomenLengthPerBodyLength: Fact;
  };
  fit: FitRule[];
  feeding: {
    meals: MealPlan[];
    /** Largest prey length as a multiple of the abdomen length. */
    preyLengthPerAbdomen: Fact;
    leftoversAfterHours: Fact;
    /** After a refusal food is offered again once this many days have gone by. */
    offerAgainAfterDays: Fact;
    /** After taking in or moving, the first food is offered once this many days have gone by. */
    settleDays: Fact;
    minutes: number;
  };
  work: RegularWork[];
  /** Minutes to put the soil right, and to move the animal to another box; used to plan the walk. */
  homeWork: { soilMinutes: number; moveMinutes: number };
  quietAfterMoult: QuietTime[];
  /** Signs on which feeding stops and the animal is left alone until it has moulted. */
  leaveAloneSigns: MoultSign[];
}

/** The school a profile follows on a topic when the keeper chose none. */
export function defaultSchool(profile: CareProfile, topic: School['topic']): string | undefined {
  const schools = profile.schools.filter((school) => school.topic === topic);
  return (schools.find((school) => school.isDefault) ?? schools[0])?.id;
}
