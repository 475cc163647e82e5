import type { FurnitureKind } from '@/core/housing/furniture';
import type { Range } from '@/core/numerics/spreads';
import type { Diet, Feeding } from './diet';
import type { School } from './schools';

/** The stages of life an animal can be recorded in, in the order it passes through them. */
export const STAGES = ['egg', 'larva', 'pupa', 'spiderling', 'nymph', 'juvenile', 'subadult', 'adult'] as const;
export type Stage = (typeof STAGES)[number];

export const SEXES = ['unknown', 'female', 'male'] as const;

/** What a sex is told by. */
export const SEX_EVIDENCE = [
  'shed-skin',
  'colour',
  'size',
  'wings',
  'pedipalps',
  'abdomen',
  'spurs',
  'behaviour',
] as const;
export type SexEvidence = (typeof SEX_EVIDENCE)[number];

/** How residents come: one animal, several counted, a colony with its brood, eggs that have not hatched. */
export const FORMS = ['single', 'group', 'colony', 'eggs'] as const;
export type Form = (typeof FORMS)[number];

/** More instars than any kind of the program has: a number beyond it is a slip of the finger. */
export const HIGHEST_INSTAR = 59;

/** What a death is put down to, where anybody knows. */
export const LEAVING_CAUSES = ['moult', 'age', 'dry', 'wet', 'eaten', 'fall', 'unknown'] as const;
export type LeavingCause = (typeof LEAVING_CAUSES)[number];

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

/**
 * What a number rests on. What was published goes with its source; cited from memory, nobody has held it against the paper again
 * while writing it down here.
 */
export const BASES = [
  'published',
  'published, cited from memory',
  'common practice',
  'from memory',
  'your own setting',
] as const;
export type Basis = (typeof BASES)[number];

/** Whether it names the work in which it stands. */
export const isPublished = (basis: Basis): boolean => basis.startsWith('published');

export interface Ground {
  basis: Basis;
  source?: string;
}

/** One number with what it rests on. */
export interface Fact extends Ground {
  value: number;
  /** Eight of ten lie between these, by what is told in practice or was measured; engines take it for their spread. */
  range?: Range;
}

/** The lengths that are taken of an animal. A carapace here is whatever part of it cannot squeeze. */
export const BODY_MEASURES = ['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm'] as const;
export type BodyMeasure = (typeof BODY_MEASURES)[number];

/** What can be read off an animal, its young, its group or its container, as a yardstick for a limit. */
export const YARDSTICKS = [
  ...BODY_MEASURES,
  'bodyLengthSquaredMm2',
  'youngWidthMm',
  'floorLongSideMm',
  'floorShortSideMm',
  'headCount',
] as const;
export type Yardstick = (typeof YARDSTICKS)[number];

/** A limit as data: `times` x the yardstick + `plus` (in the quantity's own unit). */
export interface Limit {
  of?: Yardstick;
  times?: number;
  plus?: number;
  /** Between which `times`, or `plus` where there is none, lies in practice: of a limit that is held to its careful end. */
  range?: Range;
}

/** The property of the home (or of who lives in it) that a rule looks at. */
export const QUANTITIES = [
  'floorShortSideMm',
  'floorLongSideMm',
  'heightMm',
  'innerVolumeL',
  'substrateDepthMm',
  'surfaceToLidMm',
  'litterDepthMm',
  'perchDropMm',
  'widestOpeningMm',
  'ventSharePct',
  'meshOverheadCount',
  'meshSideCount',
  'openSidePairs',
  'openSides',
  'roofHoldCount',
  'climbableWallCount',
  'topOpeningCount',
  'hideCount',
  'hangingPlaceCount',
  'creviceCount',
  'bridgeCount',
  'openBottleCount',
  'headCount',
  'floorAreaPerHeadMm2',
  'nestFullnessPct',
  'tubeBoreMm',
  'nestCount',
  'outworldCount',
] as const;
export type Quantity = (typeof QUANTITIES)[number];

/**
 * One rule of a home that fits. Within [`min`, `max`] it passes; outside, but still within [`watchMin`, `watchMax`],
 * it is to be watched; beyond that it fails. `softMin` or `softMax` says that this side never does worse than watch, and
 * `softOutOfReach` that openings over its limit do no worse which lie well above the soil in walls nobody climbs.
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
  softOutOfReach?: boolean;
  /** The limit itself is already too much: "a hole must be smaller than the carapace". */
  maxExcluded?: boolean;
  stages?: Stage[];
  school?: string;
  /** Only for groups of at least, or at most, so many heads. */
  fromHeadCount?: number;
  toHeadCount?: number;
  /** The verdict in a keeper's words: in order, below the minimum, above the maximum. */
  words: { pass: string; low?: string; high?: string };
  why: string;
}

/** Who may live with whom. */
export interface Company extends Ground {
  /** With others of its own species. */
  sameKind: 'alone' | 'group';
  /** `predator` eats whatever is smaller; `cleaner` lives in the soil of others and harms nobody. */
  role: 'predator' | 'grazer' | 'cleaner';
  /** Kinds whose young cannot be told apart bear the same word here. */
  youngLookLike?: string;
}

/** How large it becomes. */
export interface Growth {
  /** Growth of the taken measure at one moult. */
  ratioPerMoult: Fact;
  /** Stages that grow no more. */
  grownStages: Stage[];
  /** The taken measure of a usual grown animal, mm. */
  grownMm: Fact;
  /** Stages in which males moult no more, where females do. */
  maleGrownStages?: Stage[];
  /** A grown male is so many times as large as that, where the sexes differ. */
  maleTimes?: Fact;
  /** Usual days from one moult to the next at 25 C; left out for kinds that do not moult, or unseen. */
  intervals?: { stages: Stage[]; days: Fact }[];
}

/** Ways an opening is arranged that this kind does well with; what to drill follows from it. */
export const VENT_STYLES = ['none', 'facing', 'all-round', 'mesh-holes', 'mesh-panels'] as const;

/** How to fill and air a home for this kind. */
export interface Making extends Ground {
  /** Ids of mixes (`data/mixes.json`), the usual one first. */
  mixes: string[];
  /** Wetness of the damp and the dry end; 1 is all that the mix can hold without dripping. */
  dampWetness: number;
  /** Between which keepers damp it, who all mean the same. */
  dampWetnessRange?: Range;
  dryWetness: number;
  /** Share of the floor that is kept damp. % */
  dampSharePct: number;
  /** Between which keepers keep it damp. */
  dampSharePctRange?: Range;
  /** Watered down the side or a pipe, so that its burrow is damp below and the top dries; on the soil if left out. */
  pouredDownSide?: boolean;
  /** Stages that are kept damp throughout, up to the surface on which they live. */
  dampThroughout?: Stage[];
  /** Litter to put on top, mm; 0 for none. */
  litterMm: number;
  vents: { style: (typeof VENT_STYLES)[number]; openSharePct: number };
  /** What goes in on top of the soil, in this order. */
  furniture: { kind: FurnitureKind; count: number }[];
}

/** A band of values with what it rests on. */
export interface BandFact extends Ground {
  min: number;
  max: number;
}

export const DAMPINGS = ['soil', 'mist', 'none'] as const;

/** The air and the water that this kind is kept in. */
export interface Climate {
  /** Of the air where the animal has a choice: away from dish and heat. % */
  humidityPct: BandFact;
  /** Of ants: in the chambers of the nest, and in the outworld where they feed. % */
  nestHumidityPct?: BandFact;
  outworldHumidityPct?: BandFact;
  temperatureC: BandFact;
  /** Hours that it bears outside its bands before somebody is called. */
  bearsHours: Fact;
  /** Under this wetness the damp end is damped again. */
  dampWetnessMin: Fact;
  /** With less exchange of air than this a damp home goes sour. 1/h */
  airChangesPerHour: Fact;
  /** Where its water comes from: soil kept damp, leaves and walls misted, or neither (a dish, a tube, its food). */
  damping: (typeof DAMPINGS)[number];
}

/** One way to tell the sexes apart. */
export interface Sexing extends Ground {
  by: SexEvidence;
  how: string;
}

/** How much nest a worker (with its share of brood or fungus) takes. */
export interface NestSpace {
  perHeadMl: Fact;
  /** Larvae spin cocoons, against grains of sand or fibre. */
  spinsCocoons?: boolean;
}

/**
 * What is done again and again: `clean` takes droppings and remains out, `refresh` changes half of the soil at most,
 * `turn` loosens it, `weigh` and `census` tell how it goes on.
 */
export const REGULAR_WORKS = [
  'water',
  'mist',
  'calcium',
  'clutch',
  'barrier',
  'rubbish',
  'clean',
  'turn',
  'refresh',
  'weigh',
  'census',
] as const;

/** A piece of regular work whose interval depends on the stage. */
export interface RegularWork extends Ground {
  work: (typeof REGULAR_WORKS)[number];
  stages: Stage[];
  /** Only in this school. */
  school?: string;
  everyDays: number;
  /** In winter it is done so seldom; left out, as often as in summer. */
  winterEveryDays?: number;
  /** Of one kept alone not before it is in this instar. */
  aloneFromInstar?: number;
  toleranceDays: number;
  minutes: number;
}

/** Days after a moult during which an animal of this stage (and at least this size) is not fed or disturbed. */
export interface QuietTime extends Ground {
  stages: Stage[];
  /** Of the taken measure. */
  fromMm?: number;
  days: number;
}

export const SILHOUETTES = [
  'tarantula',
  'jumping-spider',
  'whip-spider',
  'scorpion',
  'mantis',
  'stick-insect',
  'leaf-insect',
  'assassin-bug',
  'isopod',
  'springtail',
  'millipede',
  'snail',
  'ant',
  'moth',
  'centipede',
  'vinegaroon',
  'velvet-worm',
  'beetle',
] as const;
export type Silhouette = (typeof SILHOUETTES)[number];

/** Where in the home an animal spends its time, and so where the drawing sets it. */
export const PLACES = ['ground', 'soil', 'bark', 'wall', 'roof', 'branch', 'nest'] as const;
export type Place = (typeof PLACES)[number];

export interface CareProfile {
  id: string;
  /** Of a keeper's own: the kind that ships from which it was copied, whose eggs, winter, numbers and dangers are its own. */
  kind?: string;
  name: string;
  /** The heading under which lists show it. */
  group: string;
  silhouette: Silhouette;
  lives: Place;
  stages: Stage[];
  schools: School[];
  /** The length keepers take of this kind, what they call it, and how it is taken. */
  measure: {
    takes: BodyMeasure;
    name: string;
    howTo: string;
    /** Kinds that are counted and not measured: what is reckoned with when no length was taken, mm. */
    usualMm?: Fact;
  };
  /** The other measures as multiples of the one that is taken. */
  proportions: { [Name in BodyMeasure]?: Fact };
  /** Weight of an animal as a multiple of the cube of its taken measure, g/cm3. */
  massGPerCm3?: Fact;
  /** What its sex is told by, and how. */
  sexing?: Sexing[];
  /** The smallest young that may hatch in the home, and must not leave it. */
  young?: { widthMm: Fact };
  growth: Growth;
  company: Company;
  making: Making;
  climate: Climate;
  nest?: NestSpace;
  fit: FitRule[];
  feeding?: Feeding;
  diet?: Diet;
  work: RegularWork[];
  /** Minutes to put the soil right, and to move the animal to another box; used to plan the walk. */
  homeWork: Ground & { soilMinutes: number; moveMinutes: number };
  quietAfterMoult: QuietTime[];
  /** Signs on which feeding stops and the animal is left alone until it has moulted. */
  leaveAloneSigns: MoultSign[];
}
