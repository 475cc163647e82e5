import { randomUUID } from 'node:crypto';
import type { NewEntry } from '@/contract/entries';
import type { NewResident } from '@/contract/records';
import { countedAbout } from '@/core/colony/counting';
import { requireSchool, requireStage, takenMeasure, usualForm } from '@/core/profiles/animal';
import type { CareProfile, Form } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import { careOf } from '../care';
import { entryWriter, renaming } from '../entryWriter';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import { sqlState, UNIQUE_VIOLATION } from '../storage/database';
import { findEntry, historyOf, insertEntry } from '../storage/entries';
import { listTakenBack, pairAll } from '../storage/mending';
import { findEver, insertResident, isKnown, listGone } from '../storage/residents';
import { writeChoice } from '../storage/schools';
import { dayOf, type Deps } from './deps';
import { kindNamed, requireBirth, requireParents, requireResident } from './identity';
import { requireDepthFits, requireRoomFor } from './occupancy';
import { requireMeasures } from './sense';

const PAGE = 60;

type Names = 'residents' | 'goneResidents' | 'takeIn' | 'history';

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
      const form = formOf(profile, { ...body, headCount: headsOf(body) });
      const id = body.id ?? randomUUID();
      const known = knownBefore(profile, id, body);
      try {
        return await database.transaction(async (queries) => {
          const newcomer = { ...body, headCount: headsOf(body), called: body.called ?? null, id };
          const home = await requireRoomFor(queries, care, body.homeId, 'homeId', newcomer);
          await requireParents(queries, body, id);
          await insertResident(queries, factsOf(id, form, body));
          if (body.school !== undefined) {
            const topic = profile.schools.find((each) => each.id === body.school)?.topic;
            if (topic) await writeChoice(queries, { scope: 'resident', about: id, topic, school: body.school });
          }
          const common = { on, keeper: body.keeper ?? null, note: null };
          const entryId = randomUUID();
          const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm, massG, instar } = body;
          // Nobody knows how many they were when they came, if they were counted on another day.
          const headCount = body.countedOn === undefined ? headsOf(body) : undefined;
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
  body: NewResident,
): { field: string; entry: NewEntry }[] {
  const { lastMoultOn, lastMealOn, sign, signSince, soilChangedOn } = body;
  const meal = randomUUID();
  if (lastMealOn !== undefined && !profile.feeding) {
    throw invalid('lastMealOn', 'A last meal is told of those that hunt; leave it out.');
  }
  const moult = { kind: 'moulted' as const, residentId };
  // It has happened: nobody is asked whether it was meant.
  const offer = { kind: 'offered' as const, id: meal, residentId, insist: true };
  const eaten = { kind: 'eaten' as const, residentId, answers: `meal ${meal}` };
  if (signSince !== undefined && sign === undefined) throw invalid('sign', 'Say which sign it shows since then.');
  return [
    ...countKnown(residentId, body),
    ...(soilChangedOn === undefined
      ? []
      : [{ field: 'soilChangedOn', entry: { kind: 'refreshed' as const, residentId, on: soilChangedOn } }]),
    ...(sign === undefined
      ? []
      : [
          {
            field: 'signSince',
            entry: { kind: 'sign' as const, residentId, sign, ...(signSince && { on: signSince }) },
          },
        ]),
    ...(lastMoultOn === undefined ? [] : [{ field: 'lastMoultOn', entry: { ...moult, on: lastMoultOn } }]),
    ...(lastMealOn === undefined
      ? []
      : [offer, eaten].map((entry) => ({ field: 'lastMealOn', entry: { ...entry, on: lastMealOn } }))),
  ];
}

/** What a newcomer's heads come to: those in every instar, where they are told by instars. */
const headsOf = ({ headCount, instars }: NewResident): number | undefined =>
  headCount ?? (instars && Object.values(instars).reduce((sum, each) => sum + each, 0));

/** A count that says more than a number of the day they came: by whom, when, how surely, in which instars. */
function countKnown(residentId: string, body: NewResident): { field: string; entry: NewEntry }[] {
  const { headsAbout, countedOn, queens, instars, on } = body;
  if (countedOn === undefined && queens === undefined && instars === undefined && !headsAbout) return [];
  const headCount = headsOf(body);
  if (headCount === undefined && queens === undefined) throw invalid('headCount', 'Say how many there are, or about.');
  const about = headsAbout && headCount !== undefined ? countedAbout(headCount) : undefined;
  const entry: NewEntry = {
    ...{ kind: 'measured', residentId },
    ...withoutUndefined({ on: countedOn ?? on, headCount, queens, instars }),
    ...(about && { headsLow: about.low, headsHigh: about.high }),
  };
  return [{ field: countedOn === undefined ? 'on' : 'countedOn', entry }];
}

/** A newcomer of whom the kind is known. */
type Named = NewResident & { profile: string };

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
