import boxSizeFile from '@data/boxSizes.json';
import dubiaRoach from '@data/feeders/dubia-roach.json';
import eggFile from '@data/eggs.json';
import fieldCricket from '@data/feeders/field-cricket.json';
import fruitFly from '@data/feeders/fruit-fly.json';
import largeFruitFly from '@data/feeders/large-fruit-fly.json';
import mealworm from '@data/feeders/mealworm.json';
import feederSpringtail from '@data/feeders/springtail.json';
import foodFile from '@data/foods.json';
import handlingFile from '@data/handling.json';
import hazardFile from '@data/hazards.json';
import labelStockFile from '@data/labelStocks.json';
import materialFile from '@data/materials.json';
import mixFile from '@data/mixes.json';
import antLargeMediterranean from '@data/profiles/ant-large-mediterranean.json';
import antLeafcutter from '@data/profiles/ant-leafcutter.json';
import antPrimitiveHunter from '@data/profiles/ant-primitive-hunter.json';
import antSmallTemperate from '@data/profiles/ant-small-temperate.json';
import burrowingTarantula from '@data/profiles/burrowing-tarantula.json';
import communalAssassinBug from '@data/profiles/communal-assassin-bug.json';
import creviceScorpion from '@data/profiles/crevice-scorpion.json';
import desertScorpion from '@data/profiles/desert-scorpion.json';
import forestScorpion from '@data/profiles/forest-scorpion.json';
import groundStickInsect from '@data/profiles/ground-stick-insect.json';
import groundTarantula from '@data/profiles/ground-tarantula.json';
import isopodDryVented from '@data/profiles/isopod-dry-vented.json';
import isopodDwarfTropical from '@data/profiles/isopod-dwarf-tropical.json';
import isopodTemperate from '@data/profiles/isopod-temperate.json';
import jumpingSpider from '@data/profiles/jumping-spider.json';
import landSnail from '@data/profiles/land-snail.json';
import leafInsect from '@data/profiles/leaf-insect.json';
import mantis from '@data/profiles/mantis.json';
import millipedeArid from '@data/profiles/millipede-arid.json';
import millipedeTropical from '@data/profiles/millipede-tropical.json';
import mothColdEgg from '@data/profiles/moth-cold-egg.json';
import mothTropical from '@data/profiles/moth-tropical.json';
import springtail from '@data/profiles/springtail.json';
import stickInsect from '@data/profiles/stick-insect.json';
import treeTarantula from '@data/profiles/tree-tarantula.json';
import whipSpider from '@data/profiles/whip-spider.json';
import mothFile from '@data/moths.json';
import populationFile from '@data/populations.json';
import restFile from '@data/rest.json';
import ants from '@data/species/ants.json';
import litterEatersAndSnails from '@data/species/litter-eaters-and-snails.json';
import mantidsAndBugs from '@data/species/mantids-and-bugs.json';
import moths from '@data/species/moths.json';
import spiders from '@data/species/spiders.json';
import stickAndLeafInsects from '@data/species/stick-and-leaf-insects.json';
import whipSpidersAndScorpions from '@data/species/whip-spiders-and-scorpions.json';
import stillnessFile from '@data/stillness.json';
import boxSignFile from '@data/trouble/box.json';
import causeFile from '@data/trouble/causes.json';
import antTrouble from '@data/trouble/kinds/ants.json';
import isopodTrouble from '@data/trouble/kinds/isopods-and-springtails.json';
import mantidTrouble from '@data/trouble/kinds/mantids-and-bugs.json';
import millipedeTrouble from '@data/trouble/kinds/millipedes.json';
import mothTrouble from '@data/trouble/kinds/moths.json';
import scorpionTrouble from '@data/trouble/kinds/scorpions.json';
import smallHunterTrouble from '@data/trouble/kinds/small-hunters.json';
import snailTrouble from '@data/trouble/kinds/snails.json';
import stickInsectTrouble from '@data/trouble/kinds/stick-and-leaf-insects.json';
import tarantulaTrouble from '@data/trouble/kinds/tarantulas.json';
import type { EggKind } from '@/core/broods/eggs';
import type { MothKind } from '@/core/broods/emergence';
import type { PopulationKind } from '@/core/colony/kind';
import type { FeederKind, Food } from '@/core/feeding/food';
import type { StillnessGuide } from '@/core/growth/stillness';
import type { BoxSize } from '@/core/housing/ladder';
import type { HazardBook } from '@/core/profiles/hazards';
import type { CareProfile } from '@/core/profiles/profile';
import type { Material, Mix } from '@/core/substrate/material';
import type { RestKind } from '@/core/season/rest';
import type { HandlingGuide } from '@/core/plan/handling';
import type { Cause, Sign, TroubleKind } from '@/core/trouble/table';
import type { StockBook } from './labels';
import type { Species } from './species';

/*
 * The data that ships with the program, for the server and the tests: a page asks the server for it. The server holds
 * the files against their schemas before it starts (`checkShippedData`).
 */

/** Every care profile, kind by kind. */
export const shippedProfiles = [
  groundTarantula,
  burrowingTarantula,
  treeTarantula,
  jumpingSpider,
  whipSpider,
  forestScorpion,
  desertScorpion,
  creviceScorpion,
  mantis,
  stickInsect,
  groundStickInsect,
  leafInsect,
  communalAssassinBug,
  isopodDwarfTropical,
  isopodTemperate,
  isopodDryVented,
  springtail,
  millipedeTropical,
  millipedeArid,
  landSnail,
  antSmallTemperate,
  antLargeMediterranean,
  antLeafcutter,
  antPrimitiveHunter,
  mothColdEgg,
  mothTropical,
] as unknown as readonly CareProfile[];

/** Species with a common name, cautions and what they do otherwise. Any other name may be taken in. */
export const shippedSpecies = [
  ...spiders,
  ...whipSpidersAndScorpions,
  ...mantidsAndBugs,
  ...stickAndLeafInsects,
  ...litterEatersAndSnails,
  ...ants,
  ...moths,
] as unknown as readonly Species[];

export const shippedMaterials = materialFile as unknown as readonly Material[];
export const shippedMixes = mixFile as unknown as readonly Mix[];

/** Sizes of box that are usual to buy. */
export const shippedBoxSizes = boxSizeFile as unknown as readonly BoxSize[];

/** Sheets and tapes of labels that are usual to buy. */
export const shippedLabelStocks = (labelStockFile as StockBook).stocks;

/** What stillness means, kind by kind. */
export const shippedStillness = stillnessFile as unknown as readonly StillnessGuide[];

/** What hunters are fed with, kind by kind and size by size. */
export const shippedFeeders = [
  fieldCricket,
  dubiaRoach,
  mealworm,
  fruitFly,
  largeFruitFly,
  feederSpringtail,
] as unknown as readonly FeederKind[];

/** All other food. */
export const shippedFoods = foodFile as unknown as readonly Food[];

/** How those multiply that are counted and not named. */
export const shippedPopulations = populationFile as unknown as readonly PopulationKind[];

/** Who rests in winter, and how. */
export const shippedRests = restFile as unknown as readonly RestKind[];

/** How eggs are kept, and when they hatch. */
export const shippedEggs = eggFile as unknown as readonly EggKind[];

/** How moths come out of their cocoons. */
export const shippedMoths = mothFile as unknown as readonly MothKind[];

/** How animals are moved. */
export const shippedHandling = handlingFile as HandlingGuide;

/** What animals can do to their keepers, and what the law may ask. */
export const shippedHazards = hazardFile as unknown as HazardBook;

/** What may be wrong, how to look for it and what is done: for all kinds. */
export const shippedCauses = causeFile as unknown as readonly Cause[];

/** Signs read off a box's own numbers. */
export const shippedBoxSigns = boxSignFile as unknown as readonly Sign[];

/** Which causes and signs each kind has. */
export const shippedTroubles = [
  tarantulaTrouble,
  smallHunterTrouble,
  scorpionTrouble,
  mantidTrouble,
  stickInsectTrouble,
  isopodTrouble,
  millipedeTrouble,
  snailTrouble,
  antTrouble,
  mothTrouble,
] as unknown as readonly TroubleKind[];
