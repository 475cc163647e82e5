import { randomUUID } from 'node:crypto';
import type { NewEntry } from '@/contract/entries';
import type { NewResident } from '@/contract/records';
import { countedAbout } from '@/core/colony/counting';
import { headsIn } from '@/core/growth/census';
import { requireSchool, requireStage, takenMeasure, usualForm } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import type { CareProfile, Form } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import type { Clock } from './clock';
import { renaming, type EntryWriter } from './entryWriter';
import { invalid } from './http/problem';
import { dayOf } from './resources/deps';
import { kindNamed, requireBirth, requireParents } from './resources/identity';
import { requireDepthFits, requireRoomFor } from './validation/occupancy';
import { requireMeasures } from './validation/entry';
import type { Queries } from './storage/database';
import { insertEntry } from './storage/entries';
import { pairAll } from './storage/mending';
import { findEver, insertResident } from './storage/residents';
import { writeChoice } from './storage/schools';

/**
 * Takes an animal in, with all that is known of it from before. Answers its id and the entries of the act, its arrival first.
 * @throws Problem or Refusal at the field that makes no sense; what was written by then has to be rolled back
 */
export async function takeIn(
  queries: Queries,
  care: CareBook,
  clock: Clock,
  writer: EntryWriter,
  asked: NewResident,
): Promise<{ id: string; entryIds: string[] }> {
  const on = dayOf(clock, asked.on);
  const body: Named = { ...asked, profile: asked.profile ?? (await kindNamed(queries, asked.scientificName)) };
  const profile = care.of(body);
  requireStage(profile, body.stage);
  requireMeasures(profile, body);
  requireSchool(profile, body.school);
  takenMeasure(profile, body);
  if (body.bornOn) requireBirth(body.bornOn, on);
  const form = formOf(profile, { ...body, headCount: headsOf(body) });
  const id = body.id ?? randomUUID();
  const known = knownBefore(profile, id, body);
  const newcomer = { ...body, headCount: headsOf(body), called: body.called ?? null, id };
  const home = await requireRoomFor(queries, care, body.homeId, 'homeId', newcomer);
  await requireParents(queries, body, id);
  await insertResident(queries, factsOf(id, form, body));
  if (body.school !== undefined) {
    const topic = profile.schools.find((each) => each.id === body.school)?.topic;
    if (topic) await writeChoice(queries, { scope: 'resident', about: id, topic, school: body.school });
  }
  const arrival = arrivalOf(id, on, clock, body);
  await insertEntry(queries, arrival);
  if (body.substrateDepthMm !== undefined && body.substrateDepthMm !== home.substrateDepthMm) {
    requireDepthFits(home, body.substrateDepthMm);
    await insertEntry(queries, {
      ...{ id: randomUUID(), kind: 'soil-set', residentId: null, homeId: home.id, keeper: arrival.keeper, note: null },
      // However long ago the animal came: the depth is that of the box as it stands today.
      ...{ on: clock.today(), at: clock.now(), data: { substrateDepthMm: body.substrateDepthMm } },
    });
  }
  const entryIds: string[] = [arrival.id];
  for (const { field, entry: each } of known) {
    const told = { ...each, ...(body.keeper !== undefined && { keeper: body.keeper }) } as NewEntry;
    const added = await renaming(
      (path) => (path === 'on' ? field : path),
      () => writer.add(queries, care, told, (residentId) => findEver(queries, residentId)),
    );
    entryIds.push(added.entry.id);
  }
  // One act: taken back, all of it goes.
  if (entryIds.length > 1) await pairAll(queries, entryIds, arrival.id);
  return { id, entryIds };
}

function arrivalOf(residentId: string, on: string, clock: Clock, body: NewResident) {
  const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm, massG, instar } = body;
  // Nobody knows how many they were when they came, if they were counted on another day.
  const headCount = body.countedOn === undefined ? headsOf(body) : undefined;
  const measured = { legSpanMm, bodyLengthMm, carapaceWidthMm, headCount, massG, instar };
  return {
    ...{ id: randomUUID(), kind: 'taken-in' as const, residentId, homeId: body.homeId, on, at: clock.now() },
    ...{ keeper: body.keeper ?? null, note: null, data: { stage, ...withoutUndefined(measured) } },
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
  const { lastMoultOn, lastMealOn, sign, signSince, soilChangedOn, legSpanMm, bodyLengthMm, carapaceWidthMm } = body;
  const meal = randomUUID();
  if (lastMealOn !== undefined && !profile.feeding) {
    throw invalid('lastMealOn', 'A last meal is told of those that hunt; leave it out.');
  }
  // The size that is told is that of today: it came to it with its last moult.
  const moult = {
    ...{ kind: 'moulted' as const, residentId },
    ...withoutUndefined({ legSpanMm, bodyLengthMm, carapaceWidthMm }),
  };
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
const headsOf = ({ headCount, instars }: NewResident): number | undefined => headCount ?? (instars && headsIn(instars));

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
    grownMm: body.grownMm,
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
