import { factsOf, type JobKind } from './jobs';

/** Days from `from` up to, but without, `to`, counted from the first day of a plan. */
export interface Span {
  from: number;
  to: number;
}

/** When a kind of work is not done: in a rest nothing but its steps and alarms, in quiet days nothing that opens the box or feeds. */
export function closedFor(kind: JobKind, { rest, quiet }: { rest: Span[]; quiet: Span[] }): Span[] {
  const { isOfRest, waits } = factsOf(kind);
  if (isOfRest) return [];
  return waits === 'quiet' ? [...rest, ...quiet] : rest;
}

export const isClosed = (day: number, closed: readonly Span[]): boolean =>
  closed.some((span) => day >= span.from && day < span.to);

/** The first day from one on that is in none of the spans. */
export function opensAt(day: number, closed: readonly Span[]): number {
  let open = day;
  for (let moved = true; moved;) {
    moved = false;
    for (const span of closed) {
      if (open < span.from || open >= span.to) continue;
      open = span.to;
      moved = true;
    }
  }
  return open;
}
