import type { SchoolChoice } from '@/contract/store';
import type { Queries } from './database';

export async function listChoices(queries: Queries): Promise<SchoolChoice[]> {
  return queries.query<SchoolChoice>(
    'SELECT scope, about, topic, school FROM school_choice ORDER BY scope, about, topic',
  );
}

export async function writeChoice(queries: Queries, { scope, about, topic, school }: SchoolChoice): Promise<void> {
  await queries.query(
    `INSERT INTO school_choice (scope, about, topic, school) VALUES ($1, $2, $3, $4)
     ON CONFLICT (scope, about, topic) DO UPDATE SET school = excluded.school`,
    [scope, about, topic, school],
  );
}

export async function dropChoice(queries: Queries, choice: Omit<SchoolChoice, 'school'>): Promise<void> {
  await queries.query('DELETE FROM school_choice WHERE scope = $1 AND about = $2 AND topic = $3', [
    choice.scope,
    choice.about,
    choice.topic,
  ]);
}
