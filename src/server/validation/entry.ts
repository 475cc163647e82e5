import type { NewEntry } from '@/contract/entries';
import type { Entry } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { requireCounts } from '@/core/colony/kind';
import { growsFungus } from '@/core/colony/nestSteps';
import { deepestMm, meanDepthMm } from '@/core/housing/soil';
import { censusOf, headsIn } from '@/core/growth/census';
import { birthProblem, moultDayProblem, requireGrowth } from '@/core/growth/historyChecks';
import { requireStage } from '@/core/profiles/animal';
import { type CareBook } from '@/core/profiles/careBook';
import { hatchlingMm } from '@/core/profiles/eggs';
import { BODY_MEASURES, type BodyMeasure, type CareProfile } from '@/core/profiles/profile';
import { invalid, Problem } from '../http/problem';
import { requireMayMove, requireOffer } from '../offers';
import type { Queries } from '../storage/database';
import { headEntriesOf } from '../storage/entries';
import { findHome } from '../storage/homes';
import { findEver, type Ever } from '../storage/residents';
import { populationOf } from '../kinds';
import type { About, Find, Heads } from './about';
import { requireBroodOf, requireClutch, requireLaid, requirePair, requireSurplus } from './broods';
import { requireMove, requireSkip } from './plans';
import { requireRest, requireRestOn } from './rests';
import { requireSigns, requireTrouble } from './trouble';
import { nameOf, requireDepthFits, requireRoomFor } from './occupancy';

/** While it lived here everything can be written of it, also after it left. */
export const asItLived = (ever: Ever | undefined, on: string): Ever | undefined =>
  ever && ever.leftOn !== null && on <= ever.leftOn ? { ...ever, leftOn: null } : ever;

/**
 * Refuses what cannot have happened: nobody there, before it came, after it left, a stage it cannot have, a box that is
 * taken, two moults on a day, a size that shrinks, more deaths than heads. Answers what goes with the entry.
 */
export async function validateEntry(
  queries: Queries,
  care: CareBook,
  body: NewEntry,
  on: string,
  now: string,
  find: Find,
  heads: Heads = (residentId) => headEntriesOf(queries, [residentId]),
): Promise<Entry['data']> {
  if (body.kind === 'soil-set') {
    await requireSoil(queries, body);
    return {};
  }
  const resident = await find(body.residentId);
  if (!resident) throw invalid('residentId', 'There is no resident with that id. See /api/residents.');
  if (isOfTheAnimal(body)) requireInItsLife(resident, on);
  else requireAfterArrival(resident, on);
  if (resident.leftOn !== null && body.kind !== 'noted' && body.kind !== 'trouble-after') {
    const message = `${nameOf(resident)} left on ${resident.leftOn}: only notes can be added. Undo its leaving if that was wrong.`;
    throw new Problem('conflict', message, [{ path: 'residentId', message: 'It is here no longer.' }]);
  }
  const profile = care.of(resident);
  switch (body.kind) {
    case 'offered':
      return requireOffer(queries, care, body, resident, on, now);
    case 'moved':
      await requireRoomFor(queries, care, body.homeId, 'homeId', resident);
      return requireMayMove(queries, care, body, resident, on, now);
    case 'moulted':
    case 'measured':
      if (body.kind === 'moulted' && resident.form === 'eggs') {
        throw invalid('residentId', `${nameOf(resident)} are eggs: they hatch, they do not moult.`);
      }
      await requireSizes(heads, profile, resident, body, on);
      if (body.kind === 'measured') requireStageCount(profile, resident, body);
      // A count by instars is a count of the heads.
      return body.kind === 'measured' ? headsOfCount(resident, body) : {};
    case 'hatched':
      return hatching(care, resident, body);
    case 'laid':
      return requireLaid(resident, body, on);
    case 'surplus':
      return requireSurplus(resident, body);
    case 'brood-seen':
      return requireBroodOf(resident, body);
    case 'clutch':
      return requireClutch(body);
    case 'paired':
      return requirePair(resident, body, (id) => findEver(queries, id));
    case 'kept-so':
      return requireRule(profile, body.rule);
    case 'skipped':
      return requireSkip(body, on);
    case 'move-planned':
      return requireMove(queries, resident, body, on);
    case 'trouble':
      return requireSigns(profile, body);
    case 'trouble-after':
      return requireTrouble(queries, body);
    case 'rest-planned':
      return requireRest(queries, resident, body, on, now);
    case 'rest-step':
    case 'rest-ended':
      return requireRestOn(queries, resident, body, on);
    case 'died':
    case 'passed-on':
      return leaving(resident, body.count);
    default:
      return {};
  }
}

/** About the animal itself, wherever it lived: its breeder knew it too. What is about its box, or counts heads, begins here. */
export const OF_THE_ANIMAL = ['moulted', 'measured', 'sign', 'sexed', 'offered', 'eaten', 'refused', 'noted'] as const;

const isOfTheAnimal = (body: NewEntry): boolean =>
  OF_THE_ANIMAL.some((kind) => kind === body.kind) && !(body.kind === 'measured' && body.headCount !== undefined);

/** @throws Problem for a day before one animal was born; of several, before they were taken in, for nobody tells them apart. */
export function requireInItsLife(resident: Pick<Resident, 'form' | 'bornOn' | 'takenInOn'>, on: string): void {
  if (resident.form !== 'single') return requireAfterArrival(resident, on);
  const problem = birthProblem(on, resident.bornOn ?? undefined);
  if (problem !== null) throw invalid('on', problem);
}

/** @throws Problem for a day before somebody was taken in. */
export function requireAfterArrival(resident: Pick<Resident, 'takenInOn'>, on: string): void {
  if (on < resident.takenInOn) {
    throw invalid('on', `Must not be before it was taken in, on ${resident.takenInOn}; got ${on}.`);
  }
}

/** @throws Problem when by its whole log more would have left a group than ever were in it. */
export async function requireCensus(queries: Queries, resident: Pick<Resident, 'id'>, today: string): Promise<void> {
  censusOf(await headEntriesOf(queries, [resident.id]), today);
}

async function requireSoil(queries: Queries, body: About<'soil-set'>): Promise<void> {
  const home = await findHome(queries, body.homeId);
  if (!home) throw invalid('homeId', 'There is no home with that id. See /api/homes.');
  requireDepthFits(home, body.soil ? deepestMm(body.soil) : body.substrateDepthMm);
  if (body.soil && Math.abs(meanDepthMm(body.soil) - body.substrateDepthMm) > 0.5) {
    const message = `Must be the mean depth of the soil, ${meanDepthMm(body.soil)} mm; got ${body.substrateDepthMm}.`;
    throw invalid('substrateDepthMm', message);
  }
}

async function requireSizes(
  heads: Heads,
  profile: CareProfile,
  resident: Resident,
  body: About<'moulted'> | About<'measured'>,
  on: string,
): Promise<void> {
  if (body.stage) requireStage(profile, body.stage);
  requireMeasures(profile, body);
  const { takes } = profile.measure;
  const { massG, headCount, stage, instar } = body;
  const lengths = BODY_MEASURES.map((name) => body[name]);
  const instars = body.kind === 'measured' ? body.instars : undefined;
  const others =
    body.kind === 'measured'
      ? [body.stages, body.queens, body.condition, body.fungusMl, body.fungusSharePct, body.waits]
      : [];
  if (body.kind === 'measured') requireGardenOrCocoon(profile, resident, body);
  const seen = [...lengths, massG, headCount, stage, instar, instars, ...others];
  if (body.kind === 'measured' && seen.every((value) => value === undefined)) {
    throw invalid(takes, 'Give what was measured or counted: a length in mm, massG, headCount, instar or the stage.');
  }
  if (resident.form === 'single') {
    const plural = body.kind === 'moulted' ? body.count : instars;
    if (plural !== undefined) {
      const path = body.kind === 'moulted' ? 'count' : 'instars';
      throw invalid(path, `${nameOf(resident)} is a single animal: counts are for groups.`);
    }
    await requireHistory(heads, profile, resident, body, on);
    return;
  }
  requireMeantCount(resident, headCount ?? (instars && headsIn(instars)), body.insist);
  if (instars !== undefined) {
    const sum = headsIn(instars);
    if (sum === 0) throw invalid('instars', 'Nobody is left by this count: write down how they left instead.');
    if (body.headCount !== undefined && body.headCount !== sum) {
      throw invalid('instars', `Must add up to headCount, ${body.headCount}; they are ${sum}.`);
    }
  }
  if (body.kind === 'moulted' && body.count !== undefined) {
    if (body.instar === undefined) throw invalid('instar', 'Say to which instar they have come.');
    const heads = resident.headCount ?? Infinity;
    if (body.count > heads)
      throw invalid('count', `There are ${heads}: ${body.count} cannot be in instar ${body.instar}.`);
  }
}

/**
 * Refuses a length that says nothing of the kind: a scorpion has no leg span, and the length it has would be forgotten.
 * @throws Problem at the length, with the one that is measured
 */
export function requireMeasures(profile: CareProfile, given: { [Name in BodyMeasure]?: number | undefined }): void {
  const { takes, name } = profile.measure;
  for (const each of BODY_MEASURES) {
    if (given[each] === undefined || each === takes || profile.proportions[each]) continue;
    throw invalid(each, `Not measured of this kind (${profile.name.toLowerCase()}): give the ${name} as ${takes}.`);
  }
}

/** So many times more heads than before, and so many more, are asked back: a nought too many is soon typed. Chosen here */
const MANY_TIMES = 20;
const MANY_MORE = 100;

/** @throws Problem for a count that is most likely a slip, unless it is insisted on */
function requireMeantCount(
  { headCount: before }: Resident,
  heads: number | undefined,
  insist: boolean | undefined,
): void {
  if (before === undefined || heads === undefined || insist) return;
  if (heads <= MANY_TIMES * before || heads - before <= MANY_MORE) return;
  throw new Problem('conflict', `There were ${before}, and ${heads} now? To write it all the same, say so once more.`, [
    { path: 'insist', message: `There were ${before}. Send insist: true to write down ${heads} all the same.` },
  ]);
}

/** The moults and sizes of a single animal, with the new one among them. */
async function requireHistory(
  heads: Heads,
  profile: CareProfile,
  resident: Resident,
  body: About<'moulted'> | About<'measured'>,
  on: string,
): Promise<void> {
  const { takes } = profile.measure;
  const earlier = await heads(resident.id);
  if (body.kind === 'moulted') {
    const moults = earlier.filter((each) => each.kind === 'moulted').map((each) => each.on);
    const problem = moultDayProblem(on, moults, resident.bornOn ?? undefined);
    if (problem !== null) throw invalid('on', problem);
  }
  const size = body[takes];
  if (size === undefined) return;
  const sizes = earlier.flatMap(({ on: day, data }) => {
    const sizeMm = takes in data ? data[takes as keyof typeof data] : undefined;
    return typeof sizeMm === 'number' ? [{ on: day, sizeMm }] : [];
  });
  requireGrowth(profile, sizes, on, size);
}

/** The stage that hatchlings are in, and their usual size where nobody measured one. */
function hatching(care: CareBook, resident: Resident, body: About<'hatched'>): Record<string, string | number> {
  if (resident.stage !== 'egg') {
    throw invalid('residentId', `${nameOf(resident)} is in the stage ${resident.stage}: only eggs hatch.`);
  }
  const profile = care.of({ ...resident, stage: undefined });
  const hatchlings: string[] = profile.stages.filter((each) => each !== 'egg');
  if (body.stage !== undefined && !hatchlings.includes(body.stage)) {
    throw invalid('stage', `Must be one of ${hatchlings.join(', ')}; got ${body.stage}.`);
  }
  return { stage: body.stage ?? hatchlings[0] ?? 'nymph', ...hatchlingSize(profile, body) };
}

/** The usual size of hatchlings, where none is given. @throws Problem where their kind has none */
export function hatchlingSize(
  profile: CareProfile,
  given: { [Name in BodyMeasure]?: number | undefined },
): Record<string, number> {
  const { takes, usualMm, name } = profile.measure;
  if (usualMm || BODY_MEASURES.some((each) => given[each] !== undefined)) return {};
  const usual = hatchlingMm(profile);
  if (usual === null) throw invalid(takes, `Measure one: the ${name} of a hatchling in millimetres.`);
  return { [takes]: Math.round(usual * 10) / 10 };
}

/** @throws Problem for a rule that its kind does not have */
function requireRule({ fit, name }: CareProfile, rule: string): Record<string, never> {
  const known = fit.map(({ id }) => id);
  if (!known.includes(rule)) throw invalid('rule', `${name} has the rules ${known.join(', ')}; got ${rule}.`);
  return {};
}

/** How many leave; `everybody` when nobody is left. */
function leaving(resident: Resident, count: number | undefined): { everybody?: 1; count?: number } {
  const heads = resident.form === 'single' ? 1 : resident.headCount;
  if (heads === undefined) return count === undefined ? { everybody: 1 } : { count };
  if (count !== undefined && count > heads) {
    throw invalid('count', `There ${heads === 1 ? 'is 1' : `are ${heads}`}: ${count} cannot leave.`);
  }
  const going = count ?? heads;
  return { count: going, ...(going === heads && { everybody: 1 as const }) };
}

/** The heads that a count by instars or by stages comes to; of ants the workers. */
function headsOfCount(resident: Resident, { instars, stages }: About<'measured'>): { headCount?: number } {
  if (instars) return { headCount: headsIn(instars) };
  const kind = populationOf(resident);
  const adults = kind && stages?.[kind.adults];
  if (!kind || !stages || adults === undefined) return {};
  const all = Object.values(stages).reduce((sum, count) => sum + count, 0);
  const headCount = kind.laying.by === 'queen' ? adults : all;
  return headCount > 0 ? { headCount } : {};
}

/** @throws Problem or Refusal for stages that the kind does not have, and more queens than it bears */
function requireStageCount(profile: CareProfile, resident: Resident, body: About<'measured'>): void {
  const { stages = {}, queens = 0 } = body;
  requireDoubt(body);
  const kind = populationOf(resident);
  if (kind) requireCounts(kind, stages, queens, 'stages');
  else if (queens > 0 || Object.keys(stages).length > 0) {
    throw invalid(queens > 0 ? 'queens' : 'stages', `${profile.name} is not counted by stages.`);
  }
}

/** @throws Problem for a garden of those that have none, or told twice, and for anything but a cocoon that waits */
function requireGardenOrCocoon(
  profile: CareProfile,
  { stage }: Pick<Resident, 'stage'>,
  { fungusMl, fungusSharePct, waits, stage: now = stage }: About<'measured'>,
): void {
  if (fungusMl !== undefined && fungusSharePct !== undefined)
    throw invalid('fungusSharePct', 'Give fungusMl or fungusSharePct, and not both.');
  if ((fungusMl ?? fungusSharePct) !== undefined && !growsFungus(profile))
    throw invalid(
      fungusMl === undefined ? 'fungusSharePct' : 'fungusMl',
      `Only leafcutters have a fungus garden; it is a ${profile.name}.`,
    );
  if (waits !== undefined && now !== 'pupa') throw invalid('waits', `Only a cocoon waits; it is in the stage ${now}.`);
}

/** @throws Problem for bounds of a count that do not hold the count */
function requireDoubt({ headCount, headsLow, headsHigh }: About<'measured'>): void {
  if (headsLow === undefined && headsHigh === undefined) return;
  if (headCount === undefined) throw invalid('headCount', 'Give the count that headsLow and headsHigh belong to.');
  if (headsLow !== undefined && headsLow > headCount)
    throw invalid('headsLow', `Must be at most the count, ${headCount}; got ${headsLow}.`);
  if (headsHigh !== undefined && headsHigh < headCount)
    throw invalid('headsHigh', `Must be at least the count, ${headCount}; got ${headsHigh}.`);
}
