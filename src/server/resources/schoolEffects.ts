import type { SchoolEffect } from '@/contract/handbook';
import { kindOf } from '@/core/profiles/careBook';
import { schoolOn, type SchoolTopic } from '@/core/profiles/schools';
import { restCourse } from '@/core/season/restCourse';
import type { RestUnderWay, ResidentToday } from '@/core/plan/work';
import { contradictionsOf, keptBy, schoolChange } from '@/core/plan/schoolChange';
import { careOf } from '../care';
import { houseToday, type Lodger } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problem';
import { restKindOf } from '../kinds';
import { planOrNone } from '../rests';
import { listChoices } from '../storage/schools';
import { roomOfShelf } from '../storage/rooms';
import { subjectOf } from './computePlans';
import type { Deps } from './deps';
import { requireChoice } from './schools';

/** What a place holds, where a rest is only thought of: the middle of what its kind bears. */
const middle = ({ min, max }: { min: number; max: number }) => (min + max) / 2;

export function schoolEffectHandlers({ database, clock }: Deps): Pick<Handlers, 'schoolEffect' | 'schoolChange'> {
  return {
    schoolChange: async ({ body }) => {
      const resident = subjectOf(await careOf(database), body.resident);
      const { topic, school, on } = body;
      const known = resident.profile.schools.filter((each) => each.topic === topic).map(({ id }) => id);
      if (!known.includes(school))
        throw invalid(
          'school',
          `Must be one of ${known.join(', ') || 'none: this kind has no schools on it'}; got ${school}.`,
        );
      const before = schoolOn(resident.profile, topic, resident.schools?.[topic]) ?? school;
      const [was, is] = [livedBy(resident, topic, before, on), livedBy(resident, topic, school, on)];
      return { ...schoolChange(was, is, on), contradictions: contradictionsOf(is) };
    },

    schoolEffect: async ({ body }): Promise<SchoolEffect> => {
      const on = clock.today();
      await requireChoice(database, body);
      const house = await houseToday(database, on, clock.now());
      const { scope, about, topic } = body;
      const choices = (await listChoices(database)).filter((each) => each.topic === topic);
      const rooms = await roomOfShelf(database);
      const chosenFor = ({ resident, home }: Lodger, school: string | null) => {
        const places = [
          { scope: 'resident', about: resident.id },
          { scope: 'kind', about: resident.profile },
          { scope: 'room', about: rooms.get(home.shelfId) ?? '' },
        ];
        const at = (place: (typeof places)[number]) =>
          place.scope === scope && place.about === about
            ? (school ?? undefined)
            : choices.find((each) => each.scope === place.scope && each.about === place.about)?.school;
        return places.map(at).find((each) => each !== undefined);
      };
      const residents = house.lodgers.flatMap((lodger) => {
        const { resident, today } = lodger;
        const { profile } = today;
        const chosen = chosenFor(lodger, body.school);
        const before = schoolOn(profile, topic, resident.schools[topic]);
        const after = schoolOn(profile, topic, chosen);
        if (before === undefined || after === undefined || before === after) return [];
        const by = (school: string) => livedBy(today, topic, school, on, resident.scientificName);
        const [was, is] = [by(before), by(after)];
        const change = schoolChange(was, is, on);
        return [{ residentId: resident.id, before, after, change, contradictions: contradictionsOf(is) }];
      });
      const sum = (of: 'minutesBefore' | 'minutesAfter') =>
        residents.reduce((total, { change }) => total + change[of], 0);
      return { residents, minutesBefore: sum('minutesBefore'), minutesAfter: sum('minutesAfter') };
    },
  };
}

/**
 * One as it is kept by a school, with what follows from it: on the winter a school decides whether there is a rest; one
 * under way stays, else the next one is thought of.
 */
function livedBy(
  resident: ResidentToday,
  topic: SchoolTopic,
  school: string,
  on: string,
  scientificName?: string,
): ResidentToday {
  const kept = keptBy(resident, topic, school);
  if (topic !== 'winter') return kept;
  return {
    ...kept,
    rest: school === 'winter-rest' ? (resident.rest ?? thoughtOf(resident, on, scientificName)) : undefined,
  };
}

function thoughtOf(
  { profile, hemisphere = 'north' }: ResidentToday,
  on: string,
  scientificName: string | undefined,
): RestUnderWay | undefined {
  const kind = restKindOf({ kind: kindOf(profile), scientificName });
  if (!kind || kind.need === 'never') return undefined;
  const roomC = middle(profile.climate.temperatureC);
  const plan = planOrNone({ kind, hemisphere, asOf: on, roomC, placeC: middle(kind.bandC) });
  return plan && { id: '', course: restCourse(plan, kind, new Map(), on), alarms: [], places: [] };
}
