import type { Range } from '@/core/numerics/spreads';
import type { Fact, Ground, Stage } from './profile';

/** How often a stage is offered food, and how much, in one school. */
export interface MealPlan extends Ground {
  stages: Stage[];
  school: string;
  everyDays: number;
  /** Late by more than this many days, it should not wait another. */
  toleranceDays: number;
  preyCount: number;
}

/** How much a stage eats in a week, as a share of its own weight. */
export interface Ration extends Ground {
  stages: Stage[];
  weeklyPct: number;
  weeklyPctRange?: Range;
}

/** Food for those that are offered prey. The ground is that of the minutes. */
export interface Feeding extends Ground {
  meals: MealPlan[];
  /** Left out: the number of prey of the meal plan, whatever it weighs. */
  rations?: Ration[];
  /** Largest prey length as a multiple of the abdomen length. */
  preyLengthPerAbdomen: Fact;
  /** Length of the abdomen as a share of the body length. */
  abdomenLengthPerBodyLength: Fact;
  leftoversAfterHours: Fact;
  /** As many small ones at once as their kind allows; left out, three at the most. */
  takesMany?: boolean;
  /** After a refusal food is offered again once this many days have gone by. */
  offerAgainAfterDays: Fact;
  /** How long it bears to eat nothing, by stage, before it is offered food whatever else is thought of it. days */
  bearsHunger?: { stages: Stage[]; days: Fact }[];
  /** After taking in or moving, the first food is offered once this many days have gone by. */
  settleDays: Fact;
  minutes: number;
}

/** The ground is that of the days and minutes. */
interface DietWork extends Ground {
  /** Those that eat; the others are not fed (eggs, pupae, moths that fly). */
  stages: Stage[];
  minutes: number;
  /** Late by more than this many days, it should not wait another. */
  toleranceDays: number;
}

/** Cuttings in water, changed before they wilt. */
export interface LeafDiet extends DietWork {
  eats: 'leaves';
  /** Ids of foods, the usual one first; a species may have its own. */
  plants: string[];
  /** Days until the cuttings are changed, at midsummer and at midwinter. */
  renewDays: { summer: Fact; winter: Fact };
  /** Fresh leaves eaten in a day, as a share of the own weight. % */
  dailyPctOfMass: Fact;
}

/** Food on top of the litter, in portions learned from what was left. */
export interface LitterDiet extends DietWork {
  eats: 'litter';
  everyDays: number;
  /** Weight of one, where it is counted and not weighed. */
  headMassMg: Fact;
  /** What they may eat in a week beside their litter, until their own appetite is known. % of their weight */
  weeklyPctOfMass: Fact;
  /** What is left comes out after so many hours. */
  freshHours: Fact;
  preparedHours: Fact;
  /** Without food after each portion. */
  restDays: Fact;
  foods: string[];
}

/** A different vegetable each day, and protein now and then. */
export interface GreensDiet extends DietWork {
  eats: 'greens';
  everyDays: number;
  /** % of the own weight */
  dailyPctOfMass: Fact;
  foods: string[];
  proteinEveryDays: Fact;
  proteins: string[];
  proteinPctOfMass: Fact;
}

/** Sugar for workers, insects for the brood; leaves for those that grow a fungus. */
export interface ColonyDiet extends DietWork {
  eats: 'colony-food';
  everyDays: number;
  sugarUlPerWorkerPerDay: Fact;
  /** Insects for each larva of a colony whose workers are as long as is usual; larger ones eat more, with their volume. */
  proteinMgPerLarvaPerDay: Fact;
  /** Larvae beside each worker where nobody counted them. */
  larvaePerWorker: Fact;
  /** Of harvesters: they are stored in the nest. */
  seedsMgPerWorkerPerDay?: Fact;
  seeds?: string[];
  /** Of leafcutters: what a millilitre of their fungus garden takes, and how large the garden is where nobody measured it. */
  leafMgPerFungusMlPerDay?: Fact;
  fungusMlPerWorker?: Fact;
  plants: string[];
  /** Whole prey is laid to the larvae: liquid food cannot be shared. */
  wholePrey: boolean;
  /** From so many workers on live prey is no danger to the colony. */
  liveFromWorkers: Fact;
}

/** What those eat that are not offered prey one by one. */
export type Diet = LeafDiet | LitterDiet | GreensDiet | ColonyDiet;
