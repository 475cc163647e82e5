import { validate } from 'uuid';
import type { SchoolChoice } from '@/contract/store';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problem';
import type { Queries } from '../storage/database';
import { findResident } from '../storage/residents';
import { findRoom } from '../storage/rooms';
import { dropChoice, listChoices, writeChoice } from '../storage/schools';
import type { Deps } from './deps';

export function schoolHandlers({ database }: Deps): Pick<Handlers, 'schoolChoices' | 'chooseSchool'> {
  return {
    schoolChoices: async () => ({ choices: await listChoices(database) }),

    chooseSchool: ({ body }) =>
      database.transaction(async (queries) => {
        const { school, ...choice } = body;
        await requireChoice(queries, body);
        if (school === null) await dropChoice(queries, choice);
        else await writeChoice(queries, { ...choice, school });
        return { choices: await listChoices(queries) };
      }),
  };
}

/** @throws Problem when nobody is there to choose for, or the school is not known on that topic */
export async function requireChoice(
  queries: Queries,
  { scope, about, topic, school }: Omit<SchoolChoice, 'school'> & { school: string | null },
): Promise<void> {
  const care = await careOf(queries);
  const known = await profilesFor();
  const names = [
    ...new Set(
      known
        .flatMap((each) => each.schools)
        .filter((each) => each.topic === topic)
        .map(({ id }) => id),
    ),
  ];
  if (school !== null && !names.includes(school)) {
    const right = names.length > 0 ? `Must be one of ${names.join(', ')}` : `There are no schools on ${topic} here`;
    throw invalid('school', `${right}; got ${school}.`);
  }

  async function profilesFor() {
    if (scope === 'kind') {
      if (!care.has(about)) throw invalid('about', `There is no care profile ${about}.`);
      return [care.of({ profile: about })];
    }
    const isUuid = validate(about);
    if (scope === 'resident') {
      const resident = isUuid ? await findResident(queries, about) : undefined;
      if (!resident) throw invalid('about', 'There is no resident with that id.');
      return [care.of(resident)];
    }
    if (!isUuid || !(await findRoom(queries, about))) throw invalid('about', 'There is no room with that id.');
    return care.profiles;
  }
}
