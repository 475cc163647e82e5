import type { Database, Queries } from './database';

/**
 * A reading of the whole house that several answers ask for at one moment is made once, and stands until something is
 * written. Where another program may write to the same database, and within a transaction, it is made each time.
 * What is answered is shared: whoever changes it changes it for all.
 */
export function standing<Answer>(read: (queries: Queries) => Promise<Answer>): (queries: Queries) => Promise<Answer> {
  const latest = new WeakMap<Queries, { writes: number; answer: Promise<Answer> }>();
  return (queries) => {
    const writes = (queries as Partial<Database>).writes?.();
    if (writes === undefined) return read(queries);
    const known = latest.get(queries);
    if (known?.writes === writes) return known.answer;
    const answer = read(queries);
    latest.set(queries, { writes, answer });
    answer.catch(() => latest.delete(queries));
    return answer;
  };
}
