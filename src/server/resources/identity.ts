import { signatureHere } from '../asking';
import { randomUUID } from 'node:crypto';
import type { NewResident, Resident, ResidentChange } from '@/contract/records';
import { shippedSpecies } from '@/contract/shipped';
import { commonNameAfter, kindAfter, kindOfName, type KindKnown } from '@/core/profiles/kindOfName';
import type { CareBook } from '@/core/profiles/careBook';
import { carriedOver, type CarriedOver } from '@/core/profiles/otherKind';
import type { Form } from '@/core/profiles/profile';
import { careOf } from '../care';
import type { Clock } from '../clock';
import { foodsOf } from '../foods';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { requireFoods } from '../larder';
import type { Queries } from '../storage/database';
import { insertEntry } from '../storage/entries';
import { listOwnCards } from '../storage/handbook';
import {
  familyOf,
  findEver,
  findResident,
  updateBirth,
  updateResident,
  writeForbidden,
  writePlants,
} from '../storage/residents';
import type { Deps } from './deps';
import { nameOf } from '../validation/occupancy';

/** Corrects who somebody is: whatever follows from it is worked out anew. */
export function identityHandlers({ database, clock }: Deps): Pick<Handlers, 'changeResident'> {
  return {
    changeResident: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = await requireResident(queries, params.id);
        const care = await careOf(queries);
        const known = await knownKinds(queries);
        const { forbidden, bornOn, withKin, headCount, plants, ...said } = body;
        const kin = await renamedKin(queries, before, said.scientificName, withKin === true);
        await changeOne(queries, care, clock, known, before, { ...said, headCount });
        for (const each of kin) {
          await changeOne(queries, care, clock, known, each, { scientificName: said.scientificName });
        }
        const after = await requireResident(queries, params.id);
        await requireParents(queries, after, params.id);
        if (bornOn) requireBirth(bornOn, before.takenInOn);
        if (bornOn !== undefined) await updateBirth(queries, params.id, bornOn);
        if (forbidden) {
          requireFoods(forbidden, await foodsOf(queries));
          await writeForbidden(queries, params.id, forbidden);
        }
        if (plants !== undefined) await writePlants(queries, params.id, plants && (await knownPlants(queries, plants)));
        return { resident: await requireResident(queries, params.id) };
      }),
  };
}

/** Those tied to one that have to be renamed with it. @throws Problem where that was not said: ties are within a species */
async function renamedKin(
  queries: Queries,
  before: Resident,
  scientificName: string | undefined,
  withKin: boolean,
): Promise<Resident[]> {
  if (scientificName === undefined || scientificName === before.scientificName) return [];
  const family = await familyOf(queries, before.id);
  const [first, ...others] = family.filter((each) => each.scientificName === before.scientificName);
  if (!first || withKin) return first ? [first, ...others] : [];
  const more = others.length > 0 ? ` and ${others.length} more` : '';
  const message = `${nameOf(first)}${more}, tied to it as parents or young, would stay ${before.scientificName}. Send withKin: true to rename them too.`;
  throw new Problem('conflict', `Its parents and young are of one species with it. ${message}`, [
    { path: 'withKin', message },
  ]);
}

/** @throws Problem for what is no plant of this house */
async function knownPlants(queries: Queries, plants: readonly string[]): Promise<string[]> {
  const known = new Set((await foodsOf(queries)).flatMap(({ id, kind }) => (kind === 'leaf' ? [id] : [])));
  const strange = plants.findIndex((id) => !known.has(id));
  if (strange >= 0) throw invalid(`plants.${strange}`, `There is no plant ${plants[strange]}. See /api/larder.`);
  return [...plants];
}

type Said = Omit<ResidentChange, 'forbidden' | 'bornOn' | 'withKin' | 'plants'>;

/** Writes what is said of one, and what follows for its stage, its form and its length where its kind is another one now. */
async function changeOne(
  queries: Queries,
  care: CareBook,
  clock: Clock,
  known: readonly KindKnown[],
  before: Resident,
  { headCount, ...said }: Said,
): Promise<void> {
  const given = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
  const profile = said.profile ?? kindAfter(known, before, said.scientificName ?? before.scientificName);
  const commonName = commonNameAfter(known, before, said.scientificName ?? before.scientificName);
  const changed: Resident = { ...before, commonName, ...given, profile };
  const isOther = profile !== before.profile;
  const over: CarriedOver = isOther
    ? carriedOver(care.of(before), care.of(changed), { ...changed, form: before.form })
    : {};
  const { form: formOver = before.form, ...carried } = over;
  const form = said.form ?? formOver;
  requireForm(care, { ...changed, ...carried, form: formOver }, form, headCount);
  await updateResident(queries, { ...changed, form });
  const about = { residentId: before.id, homeId: null, on: clock.today(), at: clock.now(), keeper: signatureHere() };
  if (Object.keys(carried).length > 0) {
    const note = `Carried over: kept as ${care.of(changed).name} now, as ${care.of(before).name} before.`;
    await insertEntry(queries, { ...about, id: randomUUID(), kind: 'measured', note, data: carried });
  }
  if (headCount !== undefined) {
    await insertEntry(queries, { ...about, id: randomUUID(), kind: 'measured', note: null, data: { headCount } });
  }
}

/** @throws Problem for a form that the kind, the stage or the heads speak against */
function requireForm(care: CareBook, before: Resident, form: Form, headCount: number | undefined): void {
  const isAnt = care.of(before).silhouette === 'ant';
  const heads = headCount ?? before.headCount;
  if (form === 'single' && headCount !== undefined && headCount > 1) {
    throw invalid('headCount', `A single animal is one; got ${headCount}. Choose group.`);
  }
  if (form === before.form) return;
  if (isAnt !== (form === 'colony')) {
    throw invalid(
      'form',
      isAnt ? 'Ants are a colony, from the founding queen on.' : 'A colony is of ants. Choose group.',
    );
  }
  if ((form === 'eggs') !== (before.stage === 'egg')) {
    throw invalid('form', `In the stage ${before.stage} it ${form === 'eggs' ? 'is no eggs' : 'is eggs'}.`);
  }
  if (form === 'group' && heads === undefined) {
    throw invalid('headCount', 'Say how many they are, or about.');
  }
  if (form === 'single' && heads !== undefined && heads > 1) {
    throw invalid('form', `There are ${heads}: take the others out as residents of their own first.`);
  }
}

const knownKinds = async (queries: Queries): Promise<KindKnown[]> => [
  ...(await listOwnCards(queries)),
  ...shippedSpecies,
];

/** @throws Problem where the name tells no kind: then the keeper has to. */
export async function kindNamed(queries: Queries, scientificName: string): Promise<string> {
  const kind = kindOfName(await knownKinds(queries), scientificName);
  if (kind) return kind.profile;
  const message = `Nobody here knows ${scientificName}, or another of its genus. Give the kind it is kept as, see /api/profiles.`;
  throw invalid('profile', message);
}

/** @throws Problem for a birth after it was taken in */
export function requireBirth(bornOn: string, takenInOn: string): void {
  if (bornOn > takenInOn) {
    throw invalid('bornOn', `Must not be after it was taken in, on ${takenInOn}; got ${bornOn}.`);
  }
}

/** Parents are of this house, of its own kind and not itself; a mother is no male, a father no female. */
export async function requireParents(
  queries: Queries,
  of: Pick<NewResident, 'scientificName'> & Partial<Record<'motherId' | 'fatherId' | 'outOfId', string | null>>,
  id: string,
): Promise<void> {
  for (const [path, otherSex] of [
    ['motherId', 'male'],
    ['fatherId', 'female'],
    ['outOfId', null],
  ] as const) {
    const parentId = of[path];
    if (parentId === undefined || parentId === null) continue;
    if (parentId === id) throw invalid(path, 'Nobody is its own parent.');
    const parent = await findEver(queries, parentId);
    if (!parent) throw invalid(path, 'There is no resident with that id.');
    if (parent.scientificName !== of.scientificName) {
      const message = `Must be of the same kind, ${of.scientificName}; ${parent.called ?? 'that one'} is ${parent.scientificName}.`;
      throw invalid(path, message);
    }
    if (otherSex !== null && parent.form === 'single' && parent.sex === otherSex) {
      throw invalid(path, `${parent.called ?? 'That one'} is written down as ${otherSex}.`);
    }
  }
}

export async function requireResident(queries: Queries, id: string): Promise<Resident> {
  const resident = await findResident(queries, id);
  if (!resident) throw notFound('resident with that id');
  return resident;
}
