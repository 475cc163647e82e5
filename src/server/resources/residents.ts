import { randomUUID } from 'node:crypto';
import type { NewEntry } from '@/contract/entries';
import type { NewResident, Resident } from '@/contract/records';
import { shippedSpecies } from '@/contract/shipped';
import { kindOfName } from '@/core/handbook/kindOfName';
import { requireSchool, requireStage, takenMeasure, usualForm } from '@/core/profiles/animal';
import { carriedOver } from '@/core/profiles/otherKind';
import type { CareProfile, Form } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import { careOf } from '../care';
import { entryWriter, renaming } from '../entryWriter';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { listOwnCards } from '../storage/handbook';
import { sqlState, UNIQUE_VIOLATION, type Queries } from '../storage/database';
import { findEntry, historyOf, insertEntry } from '../storage/entries';
import { listTakenBack, pairAll } from '../storage/mending';
import {
  findEver,
  findResident,
  insertResident,
  isKnown,
  listGone,
  updateBirth,
  updateResident,
  writeForbidden,
} from '../storage/residents';
import { requireFoods } from '../larder';
import { writeChoice } from '../storage/schools';
import { dayOf, type Deps } from './deps';
import { requireDepthFits, requireRoomFor } from './occupancy';
import { requireMeasures } from './sense';

const PAGE = 60;

type Names = 'residents' | 'goneResidents' | 'takeIn' | 'changeResident' | 'history';

export function residentHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const writer = entryWriter(clock);
  return {
    residents: async () => ({ residents: [...(await houseToday(database, clock.today(), clock.now())).residents] }),

    goneResidents: async () => ({
      residents: await listGone(database),
      takenBack: await listTakenBack(database),
    }),

    history: async ({ params, query }) => {
      if (!(await isKnown(database, params.id))) throw notFound('resident with that id');
      const kinds = query.kinds?.split(',') ?? null;
      const entries = await historyOf(database, params.id, PAGE + 1, kinds, query.before ?? null);
      return { entries: entries.slice(0, PAGE), hasMore: entries.length > PAGE };
    },

    changeResident: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = await requireResident(queries, params.id);
        const given = Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined));
        const care = await careOf(queries);
        const changed: Resident = { ...before, ...given };
        const isOther = changed.profile !== before.profile;
        const { form = before.form, ...said } = isOther ? carriedOver(care.of(before), care.of(changed), changed) : {};
        const after = { ...changed, form };
        if (body.bornOn) requireBirth(body.bornOn, before.takenInOn);
        await requireParents(queries, after, params.id);
        await updateResident(queries, after);
        if (Object.keys(said).length > 0) {
          const about = { residentId: params.id, homeId: null, on: clock.today(), at: clock.now(), keeper: null };
          const note = `Carried over: kept as ${care.of(changed).name} now, as ${care.of(before).name} before.`;
          await insertEntry(queries, { ...about, id: randomUUID(), kind: 'measured', note, data: said });
        }
        if (body.forbidden) {
          requireFoods(body.forbidden);
          await writeForbidden(queries, params.id, body.forbidden);
        }
        if (body.bornOn !== undefined) await updateBirth(queries, params.id, body.bornOn);
        return { resident: await requireResident(queries, params.id) };
      }),

    takeIn: async ({ body: asked }) => {
      const on = dayOf(clock, asked.on);
      const care = await careOf(database);
      const body: Named = { ...asked, profile: asked.profile ?? (await kindNamed(database, asked.scientificName)) };
      const profile = care.of(body);
      requireStage(profile, body.stage);
      requireMeasures(profile, body);
      requireSchool(profile, body.school);
      takenMeasure(profile, body);
      if (body.bornOn) requireBirth(body.bornOn, on);
      const form = formOf(profile, body);
      const id = body.id ?? randomUUID();
      const known = knownBefore(profile, id, body);
      try {
        return await database.transaction(async (queries) => {
          const newcomer = { ...body, called: body.called ?? null, id };
          const home = await requireRoomFor(queries, care, body.homeId, 'homeId', newcomer);
          await requireParents(queries, body, id);
          await insertResident(queries, factsOf(id, form, body));
          if (body.school !== undefined) {
            const topic = profile.schools.find((each) => each.id === body.school)?.topic;
            if (topic) await writeChoice(queries, { scope: 'resident', about: id, topic, school: body.school });
          }
          const common = { on, keeper: body.keeper ?? null, note: null };
          const entryId = randomUUID();
          const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm, headCount, massG, instar } = body;
          const measured = { legSpanMm, bodyLengthMm, carapaceWidthMm, headCount, massG, instar };
          await insertEntry(queries, {
            ...common,
            id: entryId,
            kind: 'taken-in',
            residentId: id,
            homeId: home.id,
            at: clock.now(),
            data: { stage, ...withoutUndefined(measured) },
          });
          if (body.substrateDepthMm !== undefined && body.substrateDepthMm !== home.substrateDepthMm) {
            requireDepthFits(home, body.substrateDepthMm);
            await insertEntry(queries, {
              ...common,
              // However long ago the animal came: the depth is that of the box as it stands today.
              on: clock.today(),
              id: randomUUID(),
              kind: 'soil-set',
              residentId: null,
              homeId: home.id,
              at: clock.now(),
              data: { substrateDepthMm: body.substrateDepthMm },
            });
          }
          const act: string[] = [entryId];
          for (const { field, entry: each } of known) {
            const told = { ...each, ...(body.keeper !== undefined && { keeper: body.keeper }) } as NewEntry;
            const added = await renaming(
              (path) => (path === 'on' ? field : path),
              () => writer.add(queries, care, told, (residentId) => findEver(queries, residentId)),
            );
            act.push(added.entry.id);
          }
          await pairAll(queries, act, entryId);
          const entry = await findEntry(queries, entryId);
          if (!entry) throw new Error('The entry just written cannot be read.');
          return { resident: await requireResident(queries, id), entry };
        });
      } catch (error) {
        if (sqlState(error) !== UNIQUE_VIOLATION) throw error;
        throw new Problem('conflict', 'There is a resident with that id already.', [{ path: 'id', message: 'Taken.' }]);
      }
    },
  };
}

/**
 * What is known of an animal from before, as entries of those days, each under the field that told it: its clocks run from there.
 * @throws Problem for a last meal of those that do not hunt: what they had lies in another box
 */
function knownBefore(
  profile: CareProfile,
  residentId: string,
  { lastMoultOn, lastMealOn }: NewResident,
): { field: string; entry: NewEntry }[] {
  const meal = randomUUID();
  if (lastMealOn !== undefined && !profile.feeding) {
    throw invalid('lastMealOn', 'A last meal is told of those that hunt; leave it out.');
  }
  const moult = { kind: 'moulted' as const, residentId };
  // It has happened: nobody is asked whether it was meant.
  const offer = { kind: 'offered' as const, id: meal, residentId, insist: true };
  const eaten = { kind: 'eaten' as const, residentId, answers: `meal ${meal}` };
  return [
    ...(lastMoultOn === undefined ? [] : [{ field: 'lastMoultOn', entry: { ...moult, on: lastMoultOn } }]),
    ...(lastMealOn === undefined
      ? []
      : [offer, eaten].map((entry) => ({ field: 'lastMealOn', entry: { ...entry, on: lastMealOn } }))),
  ];
}

/** A newcomer of whom the kind is known. */
type Named = NewResident & { profile: string };

/** @throws Problem where the name tells no kind: then the keeper has to. */
async function kindNamed(queries: Queries, scientificName: string): Promise<string> {
  const kind = kindOfName([...(await listOwnCards(queries)), ...shippedSpecies], scientificName);
  if (kind) return kind.profile;
  const message = `Nobody here knows ${scientificName}, or another of its genus. Give the kind it is kept as, see /api/profiles.`;
  throw invalid('profile', message);
}

function factsOf(id: string, form: Form, body: Named) {
  return {
    id,
    form,
    bornOn: body.bornOn ?? null,
    motherId: body.motherId ?? null,
    fatherId: body.fatherId ?? null,
    outOfId: body.outOfId ?? null,
    batch: body.batch ?? null,
    called: body.called ?? null,
    scientificName: body.scientificName,
    commonName: body.commonName ?? null,
    profile: body.profile,
    sex: body.sex,
    source: body.source ?? null,
    permit: body.permit ?? null,
  };
}

/** @throws Problem for a form that the stage, the kind or the count speaks against. */
function formOf(profile: CareProfile, { form, stage, headCount }: NewResident): Form {
  if (stage === 'egg' && profile.silhouette !== 'ant') {
    if (form !== undefined && form !== 'eggs') throw invalid('form', `In the stage egg it is eggs; got ${form}.`);
    return 'eggs';
  }
  if (form === 'eggs') throw invalid('form', `Eggs are in the stage egg; got ${stage}.`);
  if (form === 'single' && headCount !== undefined && headCount > 1) {
    throw invalid('headCount', `A single animal is one; got ${headCount}. Choose group.`);
  }
  return form ?? usualForm(profile, headCount);
}

function requireBirth(bornOn: string, takenInOn: string): void {
  if (bornOn > takenInOn) {
    throw invalid('bornOn', `Must not be after it was taken in, on ${takenInOn}; got ${bornOn}.`);
  }
}

/** Parents are of this house, of its own kind and not itself; a mother is no male, a father no female. */
async function requireParents(
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

async function requireResident(queries: Queries, id: string): Promise<Resident> {
  const resident = await findResident(queries, id);
  if (!resident) throw notFound('resident with that id');
  return resident;
}
