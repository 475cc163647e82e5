import { daysBetween, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { kaplanMeier } from './survival';

/** What is written down about the heads of a group; other entries may be among them and are passed over. */
export interface GroupEntry {
  kind: string;
  on: Day;
  /** UTC instant, for the order within a day. */
  at: string;
  data: Readonly<Record<string, unknown>>;
}

export interface Census {
  heads: number;
  /** How many are in which instar; those nobody told of are left out. */
  instars: Record<number, number>;
  /** Animals seen to come to an instar, in the order of the days: for the pace of the group. */
  steps: { on: Day; instar: number; count: number }[];
  /** Of each animal that ever was in the group: days followed, and whether it died then. */
  durations: number[];
  died: boolean[];
  /** Heads that a count found missing: taken as dead on the day of the count. */
  missing: number;
}

const LEAVING = ['died', 'passed-on', 'parted', 'joined-into'] as const;
const COUNTING = ['taken-in', 'measured', 'moulted'] as const;
/** Entries that may change how many there are, or in which instar. */
export const HEAD_KINDS = [...COUNTING, 'hatched', ...LEAVING, 'joined'] as const;
const isOneOf = (kinds: readonly string[], kind: string) => kinds.includes(kind);

/** An instar that was told longer ago than this has been left since, though nobody wrote it down. days, from memory */
const INSTAR_HOLDS_DAYS = 60;

/** The lowest instar that some of a group are in, as far as it was told of late; undefined where nobody told. */
export function youngestInstar({ instars, steps }: Pick<Census, 'instars' | 'steps'>, today: Day): number | undefined {
  const told = Object.entries(instars).flatMap(([instar, count]) => (count > 0 ? [Number(instar)] : []));
  const holds = (instar: number) => {
    const last = steps.findLast((step) => step.instar === instar);
    return last !== undefined && daysBetween(last.on, today) <= INSTAR_HOLDS_DAYS;
  };
  return told.sort((a, b) => a - b).find(holds);
}

/** How many there are, by how many are in which instar. */
export const headsIn = (instars: Readonly<Record<string, number>>): number =>
  Object.values(instars).reduce((total, each) => total + each, 0);

const inOrder = (a: GroupEntry, b: GroupEntry) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at);
const numberIn = (data: GroupEntry['data'], name: string) => {
  const value = data[name];
  return typeof value === 'number' ? value : undefined;
};

/**
 * What became of the heads of a group, from its log. Who died is not known by name: those that came first are taken to
 * go first. Animals passed on or moved out, and those alive today, are followed to that day (censored). A count lower
 * than reckoned means deaths nobody saw, a higher one newcomers.
 * @throws Refusal at `count` when more left than there were
 */
export function censusOf(entries: readonly GroupEntry[], today: Day): Census {
  const cohorts: { since: Day; heads: number }[] = [];
  const census: Census = { heads: 0, instars: {}, steps: [], durations: [], died: [], missing: 0 };
  const arrive = (on: Day, heads: number) => {
    if (heads > 0) cohorts.push({ since: on, heads });
    census.heads += Math.max(0, heads);
  };
  const leave = (on: Day, heads: number, died: boolean) => {
    // Of those nobody ever counted, nobody can be missing.
    if (census.durations.length === 0 && cohorts.length === 0) return;
    if (heads > census.heads) {
      const message = `There were ${census.heads} on ${on}: fewer than the ${heads} that are said to have left.`;
      throw new Refusal([{ path: 'count', message }]);
    }
    census.heads -= heads;
    for (let left = heads; left > 0;) {
      const first = cohorts[0] as { since: Day; heads: number };
      const going = Math.min(left, first.heads);
      for (let head = 0; head < going; head += 1) {
        census.durations.push(Math.max(0, daysBetween(first.since, on)));
        census.died.push(died);
      }
      first.heads -= going;
      left -= going;
      if (first.heads === 0) cohorts.shift();
    }
  };
  for (const { kind, on, data } of [...entries].sort(inOrder)) {
    const count = numberIn(data, 'count');
    const headCount = numberIn(data, 'headCount');
    const instar = numberIn(data, 'instar');
    if (kind === 'hatched' && headCount !== undefined) {
      // The lives of the young begin now; what they were as eggs is another story.
      cohorts.length = 0;
      Object.assign(census, { heads: 0, instars: { 1: headCount }, durations: [], died: [] });
      arrive(on, headCount);
      census.steps.push({ on, instar: 1, count: headCount });
    } else if (kind === 'joined' && count !== undefined) {
      arrive(on, count);
      if (instar !== undefined) census.instars[instar] = (census.instars[instar] ?? 0) + count;
    } else if (isOneOf(LEAVING, kind) && count !== undefined) {
      leave(on, count, kind === 'died');
      takeOut(census.instars, count, instar);
    } else if (kind === 'moulted' && count !== undefined && instar !== undefined) {
      const moved = step(census.instars, count, instar, census.heads);
      if (moved > 0) census.steps.push({ on, instar, count: moved });
    } else if (isOneOf(COUNTING, kind)) {
      const told = instarsIn(data.instars);
      const heads = headCount ?? (told && sum(told));
      if (heads === undefined) continue;
      if (heads >= census.heads) arrive(on, heads - census.heads);
      else {
        if (cohorts.length > 0) census.missing += census.heads - heads;
        leave(on, census.heads - heads, true);
      }
      if (told) {
        for (const [key, found] of Object.entries(told)) {
          const gained = found - (census.instars[Number(key)] ?? 0);
          if (gained > 0) census.steps.push({ on, instar: Number(key), count: gained });
        }
        census.instars = told;
      } else if (instar !== undefined) {
        census.instars = { [instar]: heads };
        census.steps.push({ on, instar, count: heads });
      } else {
        const beyond = sum(census.instars) - heads;
        if (beyond > 0) takeOut(census.instars, beyond, undefined);
      }
    }
  }
  for (const { since, heads } of cohorts) {
    for (let head = 0; head < heads; head += 1) {
      census.durations.push(Math.max(0, daysBetween(since, today)));
      census.died.push(false);
    }
  }
  census.instars = instarsIn(census.instars) ?? {};
  return census;
}

const sum = (instars: Record<number, number>) => Object.values(instars).reduce((total, each) => total + each, 0);

function instarsIn(value: unknown): Record<number, number> | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  return Object.fromEntries(Object.entries(value).filter(([, count]) => typeof count === 'number' && count > 0));
}

/** Brings up to `count` animals to an instar: from the one below first, then from further down. Returns how many. */
function step(instars: Record<number, number>, count: number, instar: number, heads: number): number {
  let left = Math.max(0, count - Math.max(0, instars[instar] ?? 0));
  // "12 are now L4" counts those that were L4 already; whoever nobody told of may be among them.
  let moved = 0;
  for (let below = instar - 1; below >= 1 && left > 0; below -= 1) {
    const going = Math.min(left, instars[below] ?? 0);
    if (going === 0) continue;
    instars[below] = (instars[below] ?? 0) - going;
    moved += going;
    left -= going;
  }
  const untold = Math.max(0, heads - sum(instars) - moved);
  moved += Math.min(left, untold);
  if (moved > 0) instars[instar] = (instars[instar] ?? 0) + moved;
  return moved;
}

/** Takes animals out of an instar, or of the most common one where nobody said which. */
function takeOut(instars: Record<number, number>, count: number, instar: number | undefined): void {
  for (let left = count; left > 0;) {
    const told = instar !== undefined && (instars[instar] ?? 0) > 0;
    const from = told ? instar : Number(Object.entries(instars).sort((a, b) => b[1] - a[1])[0]?.[0] ?? NaN);
    const there = instars[from] ?? 0;
    if (there === 0) return;
    const going = Math.min(left, there);
    instars[from] = there - going;
    left -= going;
  }
}

/** A group as it is looked at: its heads, and how many of those that ever came live on. */
export function groupCourse(entries: readonly GroupEntry[], today: Day) {
  const { heads, instars, missing, durations, died } = censusOf(entries, today);
  return { heads, instars, missing, lives: { durations, died }, survival: kaplanMeier(durations, died) };
}

/** The days on which half of the group had come to an instar: its moults as those of one animal. */
export function typicalMoults({ steps }: Census, heads: number): { on: Day; instar: number }[] {
  const needed = Math.max(1, Math.ceil(heads / 2));
  const instars = [...new Set(steps.map((each) => each.instar))].sort((a, b) => a - b);
  const days = instars.flatMap((instar) => {
    let reached = 0;
    // Whoever is further on has been there too.
    for (const each of [...steps].sort((a, b) => a.on.localeCompare(b.on))) {
      if (each.instar !== instar) continue;
      reached += each.count;
      if (reached >= needed) return [{ on: each.on, instar }];
    }
    return [];
  });
  return days.filter((each, index) => index === 0 || each.on > (days[index - 1]?.on ?? ''));
}
