import { randomUUID } from 'node:crypto';
import type { EntryToKeep } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { logRank } from '@/core/growth/logRank';
import { groupCourse } from '@/core/growth/census';
import { requireStage } from '@/core/profiles/animal';
import { whyTwo } from '@/core/records/joining';
import type { BodyMeasure } from '@/core/profiles/profile';
import { withoutUndefined } from '@/core/withoutUndefined';
import { careOf } from '../care';
import { groupBy } from '@/core/groupBy';
import type { Handlers } from '../http/mount';
import { invalid, notFound, Problem } from '../http/problem';
import type { Queries } from '../storage/database';
import { findEntry, headEntriesOf, insertEntry } from '../storage/entries';
import { findResident, insertResident, isKnown, listOfSpecies, residentsNow } from '../storage/residents';
import { dayOf, type Deps } from './deps';
import { nameOf, requireRoomFor } from '../validation/occupancy';
import { hatchlingSize, requireAfterArrival, requireCensus, requireMeasures } from '../validation/entry';

type Names = 'residentBatch' | 'partResident' | 'joinResident';

/** Groups: their heads, some taken out, two made one. */
export function groupHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    residentBatch: async ({ params }) => {
      const resident = await findResident(database, params.id);
      if (!resident) throw notFound('resident with that id');
      const batches = (await listOfSpecies(database, resident.scientificName)).filter(
        (each) => each.id === resident.id || each.form === 'group',
      );
      const ids = batches.map((each) => each.id);
      const here = new Set((await residentsNow(database, ids)).map((each) => each.id));
      const entries = await headEntriesOf(database, ids);
      const today = clock.today();
      const entriesOf = groupBy(entries, (entry) => entry.residentId ?? '');
      const courseOf = (id: string) => groupCourse(entriesOf.get(id) ?? [], today);
      const { lives, ...own } = courseOf(resident.id);
      return {
        residentId: resident.id,
        bornOn: resident.bornOn,
        ...own,
        compared: batches
          .filter((each) => each.id !== resident.id)
          .map((each) => {
            const other = courseOf(each.id);
            return {
              residentId: each.id,
              name: each.called ?? each.batch ?? `since ${each.takenInOn}`,
              isHere: here.has(each.id),
              survival: other.survival,
              logRank: logRank(lives, other.lives),
            };
          })
          .filter((each) => each.survival.total > 0),
      };
    },

    partResident: ({ params, body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        if (await isKnown(queries, id)) {
          throw new Problem('conflict', 'There is a resident with that id already.', [
            { path: 'id', message: 'Taken.' },
          ]);
        }
        const source = await requireGroup(queries, params.id);
        const care = await careOf(queries);
        const on = dayOf(clock, body.on);
        requireAfterArrival(source, on);
        const stage = body.stage ?? source.stage;
        const profile = care.of({ ...source, stage });
        requireStage(profile, stage);
        requireMeasures(profile, body);
        const heads = source.headCount ?? Infinity;
        if (body.count >= heads) {
          const message = `There are ${heads}: taking out ${body.count} would leave nobody. Move the whole group instead.`;
          throw invalid('count', message);
        }
        const isSingle = body.count === 1 && care.of(source).company.sameKind === 'alone';
        const { homeId, count, called, sex, keeper } = body;
        const newcomer = { ...source, id, called: called ?? null, headCount: isSingle ? undefined : count };
        const home = await requireRoomFor(queries, care, homeId, 'homeId', newcomer);
        const hatches = source.form === 'eggs' && stage !== 'egg';
        await insertResident(queries, {
          ...source,
          id,
          called: called ?? null,
          sex: sex ?? 'unknown',
          form: isSingle ? 'single' : stage === 'egg' ? 'eggs' : 'group',
          outOfId: source.id,
          bornOn: hatches ? on : source.bornOn,
        });
        const pair = randomUUID();
        const common = { on, at: clock.now(), keeper: keeper ?? null, note: null };
        const entryId = randomUUID();
        const given = sizesOf(body);
        const isMeasured = Object.keys(given).length > 0;
        // Those of a group are of its size, as long as nobody measured them.
        const sizes = hatches ? { ...given, ...hatchlingSize(profile, given) } : isMeasured ? given : sizesOf(source);
        const taken: EntryToKeep<'taken-in'> = {
          ...common,
          id: entryId,
          kind: 'taken-in',
          residentId: id,
          homeId: home.id,
          data: { stage, ...sizes, ...(!isSingle && { headCount: count }), ...(hatches && { instar: 1 }) },
        };
        const parted = { ...common, id: randomUUID(), kind: 'parted' as const, residentId: source.id, homeId: null };
        await insertEntry(queries, taken, pair);
        await insertEntry(queries, { ...parted, data: { count, toId: id } }, pair);
        await requireCensus(queries, source, clock.today());
        return answer(queries, id, entryId);
      }),

    joinResident: ({ params, body }) =>
      database.transaction(async (queries) => {
        const target = await requireGroup(queries, params.id);
        const other = await findResident(queries, body.otherId);
        if (!other) throw invalid('otherId', 'There is no resident with that id. See /api/residents.');
        if (other.id === target.id) throw invalid('otherId', 'That is the group itself: choose another.');
        const why = whyTwo(target, other);
        if (why === 'kinds') {
          const message = `${nameOf(other)} is ${other.scientificName}, ${nameOf(target)} is ${target.scientificName}: different kinds are not made one. Their young could not be told apart, and their records would be lost in each other.`;
          throw invalid('otherId', message);
        }
        if (why === 'eggs') {
          throw invalid('otherId', 'Eggs and hatched animals are kept as two: join them once all have hatched.');
        }
        const on = dayOf(clock, body.on);
        requireAfterArrival(target, on);
        requireAfterArrival(other, on);
        const care = await careOf(queries);
        await requireRoomFor(queries, care, target.homeId, 'otherId', other);
        const count = other.headCount ?? 1;
        const pair = randomUUID();
        const common = { on, at: clock.now(), keeper: body.keeper ?? null, note: null, homeId: null };
        const entryId = randomUUID();
        const joined = { ...common, id: entryId, kind: 'joined' as const, residentId: target.id };
        await insertEntry(queries, { ...joined, data: { count, fromId: other.id } }, pair);
        const gone = { ...common, id: randomUUID(), kind: 'joined-into' as const, residentId: other.id };
        await insertEntry(queries, { ...gone, data: { count, toId: target.id, everybody: 1 } }, pair);
        return answer(queries, target.id, entryId);
      }),
  };
}

async function answer(queries: Queries, residentId: string, entryId: string) {
  const [resident, entry] = [await findResident(queries, residentId), await findEntry(queries, entryId)];
  if (!resident || !entry) throw new Error('What was just written cannot be read.');
  return { resident, entry };
}

/** @throws Problem for a single animal: it can neither be divided nor joined. */
async function requireGroup(queries: Queries, id: string): Promise<Resident> {
  const resident = await findResident(queries, id);
  if (!resident) throw notFound('resident with that id');
  if (resident.form === 'single') {
    throw new Problem(
      'conflict',
      `${nameOf(resident)} is a single animal: only groups, colonies and eggs are joined or divided.`,
    );
  }
  return resident;
}

type Sizes = { [Name in BodyMeasure]?: number | undefined };
const sizesOf = ({ legSpanMm, bodyLengthMm, carapaceWidthMm }: Sizes) =>
  withoutUndefined({ legSpanMm, bodyLengthMm, carapaceWidthMm }) as Record<string, number>;
