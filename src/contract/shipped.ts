import fs from 'node:fs';
import path from 'node:path';
import { rootAbove } from './rootAbove';
import type { EggKind } from '@/core/broods/eggs';
import type { MothKind } from '@/core/broods/emergence';
import type { PopulationKind } from '@/core/colony/kind';
import type { FeederKind, Food } from '@/core/feeding/food';
import type { StillnessGuide } from '@/core/growth/stillness';
import type { Knowledge } from '@/core/ground/knowledge';
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
 * The data that ships with the program, for the server and the tests: a page asks the server for it. It is read from `data/`, where one
 * file more is one kind more: no code names them. The server holds the files against their schemas before it starts (`checkShippedData`).
 */

const FOLDER = path.join(rootAbove(__dirname), 'data');

const fileAt = (name: string): unknown => JSON.parse(fs.readFileSync(path.join(FOLDER, name), 'utf8'));

/** In which order things are shown and tried; what is not named follows, by name. */
export const ORDER = fileAt('order.json') as Record<'groups' | 'profiles' | 'feeders' | 'species', string[]>;
const placeIn = (names: readonly string[], name: string) => (names.includes(name) ? names.indexOf(name) : names.length);

/** Every file of a folder. @throws Error where one that is to come first is not there */
function filesIn(folder: string, first: readonly string[] = []): unknown[] {
  const names = fs
    .readdirSync(path.join(FOLDER, folder))
    .flatMap((name) => (name.endsWith('.json') ? [path.basename(name, '.json')] : []));
  const lost = first.filter((name) => !names.includes(name));
  if (lost.length > 0) throw new Error(`data/order.json names what is not in data/${folder}: ${lost.join(', ')}.`);
  return names
    .sort((a, b) => placeIn(first, a) - placeIn(first, b) || a.localeCompare(b, 'en'))
    .map((name) => fileAt(path.join(folder, `${name}.json`)));
}

/** Every care profile, group by group. */
export const shippedProfiles: readonly CareProfile[] = (filesIn('profiles', ORDER.profiles) as CareProfile[]).sort(
  (a, b) => placeIn(ORDER.groups, a.group) - placeIn(ORDER.groups, b.group),
);

/** Species with a common name, cautions and what they do otherwise. Any other name may be taken in. */
export const shippedSpecies = filesIn('species', ORDER.species).flat() as readonly Species[];

export const shippedMaterials = fileAt('materials.json') as readonly Material[];
export const shippedMixes = fileAt('mixes.json') as readonly Mix[];

/** Sizes of box that are usual to buy. */
export const shippedBoxSizes = fileAt('boxSizes.json') as readonly BoxSize[];

/** Sheets and tapes of labels that are usual to buy. */
export const shippedLabelStocks = (fileAt('labelStocks.json') as StockBook).stocks;

/** What stillness means, kind by kind. */
export const shippedStillness = fileAt('stillness.json') as readonly StillnessGuide[];

/** What hunters are fed with, kind by kind and size by size. */
export const shippedFeeders = filesIn('feeders', ORDER.feeders) as readonly FeederKind[];

/** All other food. */
export const shippedFoods = fileAt('foods.json') as readonly Food[];

/** How those multiply that are counted and not named. */
export const shippedPopulations = fileAt('populations.json') as readonly PopulationKind[];

/** Who rests in winter, and how. */
export const shippedRests = fileAt('rest.json') as readonly RestKind[];

/** How eggs are kept, and when they hatch. */
export const shippedEggs = fileAt('eggs.json') as readonly EggKind[];

/** How moths come out of their cocoons. */
export const shippedMoths = fileAt('moths.json') as readonly MothKind[];

/** How animals are moved. */
export const shippedHandling = fileAt('handling.json') as HandlingGuide;

/** What animals can do to their keepers, and what the law may ask. */
export const shippedHazards = fileAt('hazards.json') as HazardBook;

/** What may be wrong, how to look for it and what is done: for all kinds. */
export const shippedCauses = fileAt('trouble/causes.json') as readonly Cause[];

/** Signs read off a box's own numbers. */
export const shippedBoxSigns = fileAt('trouble/box.json') as readonly Sign[];

/** Which causes and signs each kind has. */
export const shippedTroubles = filesIn('trouble/kinds') as readonly TroubleKind[];

/** All of it that engines reckon with. */
export const shippedKnowledge: Knowledge = {
  profiles: shippedProfiles,
  species: shippedSpecies,
  materials: shippedMaterials,
  mixes: shippedMixes,
  boxSizes: shippedBoxSizes,
  feeders: shippedFeeders,
  foods: shippedFoods,
  populations: shippedPopulations,
  rests: shippedRests,
  eggs: shippedEggs,
  moths: shippedMoths,
  stillness: shippedStillness,
  causes: shippedCauses,
  boxSigns: shippedBoxSigns,
  troubles: shippedTroubles,
};
