import type { Entry } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { requireResting, restPlan } from '@/core/season/rest';
import { hemisphereOf, roomsOf, warmthIn } from '../house/air';
import { invalid, Problem } from '../http/problem';
import { restKindFor } from '../kinds';
import { restsOf } from '../rests';
import type { Queries } from '../storage/database';
import { findHome } from '../storage/homes';
import { nameOf } from './occupancy';
import type { About } from './about';

/**
 * What a rest is planned with: the warmth of its home, of its place, and the half of the world.
 * @throws Problem for kinds that do not rest, a place below what the kind bears, and a second rest beside the first
 */
export async function requireRest(
  queries: Queries,
  resident: Resident,
  body: About<'rest-planned'>,
  on: string,
  now: string,
): Promise<Entry['data']> {
  const known = restKindFor(resident);
  if (!known) throw invalid('residentId', `Nobody gave the winter rest of ${nameOf(resident)}.`);
  const kind = requireResting(known);
  const standing = (await restsOf(queries, [resident], on)).get(resident.id);
  if (standing && standing.course.phase !== 'over') {
    const message = `${nameOf(resident)} has a rest planned or under way since ${standing.plannedOn}: give that up first.`;
    throw new Problem('conflict', message, [{ path: 'residentId', message: 'It can have one rest at a time.' }]);
  }
  const room = (await roomsOf(queries, now)).find((each) => each.id === body.roomId);
  if (!room) throw invalid('roomId', 'There is no room with that id. See /api/rooms.');
  const home = await findHome(queries, resident.homeId);
  if (!home) throw invalid('residentId', 'Its home is gone.');
  const placeC = body.placeC ?? room.air.temperatureC;
  if (placeC < kind.floorC.value) {
    const message = `Must be at least ${kind.floorC.value} C, the least that this kind bears; ${room.name} has ${placeC.toFixed(1)} C.`;
    throw invalid(body.placeC === undefined ? 'roomId' : 'placeC', message);
  }
  const { temperatureC: roomC } = (await warmthIn(queries, now))(home);
  const hemisphere = await hemisphereOf(queries);
  // What cannot be planned is refused before it is written.
  restPlan({ kind, hemisphere, asOf: on, startOn: body.startOn, roomC, placeC });
  return { placeC, roomC, hemisphere };
}

/**
 * The rest that it belongs to.
 * @throws Problem when no rest is on, for a step that it does not have, and one that was done
 */
export async function requireRestOn(
  queries: Queries,
  resident: Resident,
  body: About<'rest-step'> | About<'rest-ended'>,
  on: string,
): Promise<Entry['data']> {
  const standing = (await restsOf(queries, [resident], on)).get(resident.id);
  if (!standing || standing.course.phase === 'over') {
    throw new Problem('conflict', `${nameOf(resident)} has no winter rest on ${on}.`, [
      { path: 'residentId', message: 'Plan a rest first.' },
    ]);
  }
  const ofRest = { restId: standing.id };
  if (body.kind === 'rest-ended') return ofRest;
  const step = standing.course.steps.find((each) => each.key === body.step);
  if (!step || step.what === 'hold') {
    const keys = standing.course.steps.filter((each) => each.what !== 'hold').map((each) => each.key);
    throw invalid('step', `Must be one of ${keys.join(', ')}; got ${body.step}.`);
  }
  if (step.doneOn !== null) throw new Problem('conflict', `That step was done on ${step.doneOn}.`);
  return ofRest;
}
