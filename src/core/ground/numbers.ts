import type { Range } from '@/core/numerics/spreads';
import type { Basis } from '@/core/profiles/profile';
import { Refusal } from '@/core/refusal';
import { KNOWLEDGE_PARTS, type Knowledge, type KnowledgePart } from './knowledge';

/**
 * How engines make use of what is not known of a number: its `range` widens what is forecast; a limit has a zone in which it is `watched`,
 * is `soft` (never worse than watched), or is held to the careful end of what is practised (`careful`); days have a `tolerance`; and
 * the ends of a `band` are ranges themselves.
 */
export const SPREAD_USES = ['range', 'watched', 'soft', 'careful', 'tolerance', 'band'] as const;
export type SpreadUse = (typeof SPREAD_USES)[number];

/** Between which a number lies in practice, and how that is used; a soft limit has no other end. */
export interface NumberSpread {
  by: SpreadUse;
  min?: number;
  max?: number;
}

/** One number that the program believes, and what it rests on. */
export interface KnownNumber {
  /** Where it stands: `profiles/mantis/growth/ratioPerMoult/value`. Rows go by what they are called, else by their place. */
  id: string;
  part: KnowledgePart;
  value: number;
  basis: Basis;
  source?: string;
  spread?: NumberSpread;
  /** A whole count: one animal, two openings. It is so or not, and nothing lies between. */
  isCount?: boolean;
}

type Tree = Readonly<Record<string, unknown>>;

/** What holds for all that lies below: the ground that was told last, and the rule it is part of. */
interface Above {
  basis?: Basis | undefined;
  source?: string | undefined;
  rule?: Tree | undefined;
  proportions?: Tree | undefined;
  young?: Tree | undefined;
}

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null;
const isRange = (value: unknown): value is Range =>
  isTree(value) && typeof value.min === 'number' && typeof value.max === 'number';

/** By the list: what each of its rows is called. Lists of what is believed do not change. */
const keysOfLists = new WeakMap<readonly unknown[], string[]>();

/** What the rows of a list are called: their place where they have no name, or one that another bears. */
function keysOf(rows: readonly unknown[]): string[] {
  const known = keysOfLists.get(rows);
  if (known) return known;
  const names = rows.map(calledBy);
  const bearers = new Map<string | undefined, number>();
  for (const name of names) bearers.set(name, (bearers.get(name) ?? 0) + 1);
  const keys = names.map((name, at) => (name === undefined || bearers.get(name) !== 1 ? String(at) : name));
  keysOfLists.set(rows, keys);
  return keys;
}

function calledBy(row: unknown): string | undefined {
  if (!isTree(row)) return undefined;
  const { id, name, profiles, silhouettes, species } = row;
  if (typeof id === 'string') return id;
  const of = profiles ?? silhouettes;
  if (Array.isArray(of)) return [...of, ...(Array.isArray(species) ? species : [])].join('+');
  return typeof name === 'string' ? name : undefined;
}

/** Sizes of boxes are of goods, and parts of a mix are measured out: whoever has them in hand knows them. */
const MEASURED_BY_ANYBODY: ReadonlySet<KnowledgePart> = new Set(['boxSizes', 'mixes'] as const);

/** Every number that the program believes, in the order in which it stands in its data. @throws Error naming one without a basis */
export function numbersOf(knowledge: Knowledge): KnownNumber[] {
  return KNOWLEDGE_PARTS.filter((part) => !MEASURED_BY_ANYBODY.has(part)).flatMap((part) => [
    ...numbersBelow(knowledge[part], part, part, {}),
  ]);
}

function* numbersBelow(value: unknown, id: string, part: KnowledgePart, above: Above): Generator<KnownNumber> {
  if (Array.isArray(value)) {
    for (const [index, row] of value.entries()) yield* numbersBelow(row, `${id}/${keysOf(value)[index]}`, part, above);
    return;
  }
  if (!isTree(value)) return;
  // What rests on something of its own has nothing of the ground above it.
  const { basis, source, proportions, young, quantity } = value;
  const inside: Above = {
    ...above,
    ...(basis !== undefined && { basis: basis as Basis, source: source as string | undefined }),
    ...(quantity !== undefined && { rule: value }),
    ...(isTree(proportions) && { proportions }),
    ...(isTree(young) && { young }),
  };
  for (const [name, each] of Object.entries(value)) {
    if (/^range$|Range$/.test(name)) continue;
    if (typeof each === 'number') yield known(`${id}/${name}`, part, name, value, inside);
    else yield* numbersBelow(each, `${id}/${name}`, part, inside);
  }
}

function known(id: string, part: KnowledgePart, name: string, parent: Tree, above: Above): KnownNumber {
  const { basis, source } = above;
  if (basis === undefined) throw new Error(`data: ${id} says not what it rests on.`);
  const spread = spreadOf(id, name, parent, above);
  return {
    ...{ id, part, value: parent[name] as number, basis },
    ...(source !== undefined && { source }),
    ...(spread && { spread }),
    ...(isCount(name, above.rule) && { isCount: true }),
  };
}

/** Heads, openings, hides: of a rule about how many there are. */
const isCount = (name: string, rule: Tree | undefined): boolean =>
  /^(preyCount|count|fromHeadCount|toHeadCount|queensAtMost|aloneFromInstar)$/.test(name) ||
  (typeof rule?.quantity === 'string' && name === 'plus' && /Count$|openSide/.test(rule.quantity));

function spreadOf(id: string, name: string, parent: Tree, above: Above): NumberSpread | undefined {
  const range = name === 'value' ? parent.range : parent[`${name}Range`];
  // A number at an end of its range is held to that end: the careful one.
  const { value } = parent;
  if (isRange(range)) return { by: value === range.min || value === range.max ? 'careful' : 'range', ...range };
  if (above.rule && (name === 'times' || name === 'plus')) return spreadOfLimit(id, name, parent, above.rule, above);
  if (isRange(parent)) return { by: 'band', min: parent.min, max: parent.max };
  const { everyDays, toleranceDays } = parent;
  if (name !== 'everyDays' || typeof everyDays !== 'number' || typeof toleranceDays !== 'number') return undefined;
  return { by: 'tolerance', min: everyDays, max: everyDays + toleranceDays };
}

/** Of a limit: between the end at which it passes and the end at which it fails. */
function spreadOfLimit(id: string, name: string, limit: Tree, rule: Tree, above: Above): NumberSpread | undefined {
  if (isRange(limit.range)) return { by: 'careful', ...limit.range };
  const isMin = /\/(min|watchMin)\/[^/]+$/.test(id);
  const ends = isMin ? [rule.watchMin, rule.min] : [rule.max, rule.watchMax];
  const [low, high] = ends.map((end) => (isTree(end) ? end[name] : undefined));
  if (typeof low === 'number' && typeof high === 'number') return { by: 'watched', min: low, max: high };
  // What must not be as wide as an animal is watched from the slender ones of its kind on.
  const share = rule.maxExcluded === true ? measureOf(above, limit.of) : undefined;
  if (isTree(share) && isRange(share.range)) {
    const times = limit[name] as number;
    return { by: 'watched', min: (times * share.range.min) / (share.value as number), max: times };
  }
  const isSoft = isMin ? rule.softMin : (rule.softMax ?? rule.softOutOfReach);
  return isSoft === true ? { by: 'soft' } : undefined;
}

const measureOf = ({ proportions, young }: Above, name: unknown): unknown =>
  name === 'youngWidthMm' ? young?.widthMm : proportions?.[String(name)];

/**
 * The same knowledge with one number another; all that it does not stand in is shared.
 * @throws Refusal at `number` where there is none of that id
 */
export function withNumber(knowledge: Knowledge, id: string, value: number): Knowledge {
  const [part = '', ...path] = id.split('/');
  const known = KNOWLEDGE_PARTS.find((each) => each === part);
  if (!known) throw unknownNumber(id);
  return { ...knowledge, [known]: replaced(knowledge[known], path, value, id) };
}

/**
 * One number that can be moved a little.
 * @throws Refusal at `number` where there is none of that id, and for a whole count
 */
export function movableNumber(knowledge: Knowledge, id: string): KnownNumber {
  const number = numbersOf(knowledge).find((each) => each.id === id);
  if (!number) throw unknownNumber(id);
  if (!number.isCount) return number;
  const message = 'It is a whole count: it is so or not, and is not moved a little.';
  throw new Refusal([{ path: 'number', message }]);
}

const unknownNumber = (id: string) =>
  new Refusal([{ path: 'number', message: `There is no number ${id}. See /api/ground.` }]);

/** What stands on the way to a number: `['profiles', 'mantis', 'growth']`; undefined where there is nothing. */
export const rowOn = (knowledge: Knowledge, path: readonly string[]): unknown =>
  path.reduce<unknown>((tree, name) => {
    if (Array.isArray(tree)) return tree[keysOf(tree).indexOf(name)];
    return isTree(tree) ? tree[name] : undefined;
  }, knowledge);

function replaced(tree: unknown, path: readonly string[], value: number, id: string): unknown {
  const [next, ...rest] = path;
  if (next === undefined) {
    if (typeof tree === 'number') return value;
    throw unknownNumber(id);
  }
  if (Array.isArray(tree)) {
    const at = keysOf(tree).indexOf(next);
    if (at < 0) throw unknownNumber(id);
    return tree.map((row, index) => (index === at ? replaced(row, rest, value, id) : row));
  }
  if (!isTree(tree) || !Object.hasOwn(tree, next)) throw unknownNumber(id);
  return { ...tree, [next]: replaced(tree[next], rest, value, id) };
}
