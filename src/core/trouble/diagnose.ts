import { Refusal } from '@/core/refusal';
import type { Sign, TroubleTable } from './table';

/** What was looked for: seen, or looked for and not there. Whatever is in neither was not looked for. */
export interface Observed {
  yes: readonly string[];
  no: readonly string[];
}

/** What one sign did to the chances. */
export interface Step {
  sign: string;
  present: boolean;
  /** Chance of what was observed under each cause, in the order of the causes, 0 to 1. */
  likelihood: number[];
  /** Chances of the causes after it, %. */
  afterPct: number[];
}

export interface RankedCause {
  id: string;
  pct: number;
  /** How usual it is before anything was looked at, %. */
  usualPct: number;
}

/** What to look for next, and what it would show. */
export interface NextLook {
  sign: string;
  /** What it is expected to settle of what is open. bits */
  gainBits: number;
  seenPct: number;
  ifYes: { cause: string; pct: number };
  ifNo: { cause: string; pct: number };
}

export interface Diagnosis {
  /** Likeliest first. */
  ranked: RankedCause[];
  /** The causes in the order of the numbers of each step. */
  causes: string[];
  steps: Step[];
  /** Best look first; none where nothing would settle anything more. */
  next: NextLook[];
  /** Signs that leave no cause standing: together they cannot all be so by the table. They count as nearly impossible. */
  contradicting: string[];
}

/** What a sign that by the table cannot be counts as, where nothing else is left standing. Chosen here */
const NEARLY_NEVER = 0.001;
/** No look is proposed that would settle less than this. bits, chosen here */
const LEAST_GAIN_BITS = 0.02;

/**
 * From signs to causes by naive Bayes: the chance of each cause is how usual it is, times the chance of every sign under
 * it (of its absence, where it was looked for and not there), brought to a sum of one. Signs are taken as if each came by
 * itself, which makes the answer surer than it should be. The next look is the one that is expected to leave the least
 * uncertainty (mutual information, Shannon 1948).
 * @throws Refusal at `yes` or `no` for a sign that this kind does not have, or that is in both
 */
export function diagnose(table: TroubleTable, { yes, no }: Observed): Diagnosis {
  const signs = new Map([...table.boxSigns, ...table.signs].map((sign) => [sign.id, sign]));
  requireKnown(signs, yes, no);
  const ids = table.causes.map(({ id }) => id);
  const usual = toOne(table.causes.map((cause) => cause.usual));
  const observed = [
    ...[...new Set(yes)].map((id) => ({ sign: signs.get(id) as Sign, present: true })),
    ...[...new Set(no)].map((id) => ({ sign: signs.get(id) as Sign, present: false })),
  ];
  const contradicting = whatContradicts(ids, usual, observed);
  let chances = usual;
  const steps = observed.map(({ sign, present }): Step => {
    const told = ids.map((cause) => likelihood(sign, cause, present));
    const floored = contradicting.includes(sign.id) ? told.map((each) => Math.max(each, NEARLY_NEVER)) : told;
    chances = toOne(chances.map((chance, index) => chance * (floored[index] ?? 0)));
    return { sign: sign.id, present, likelihood: floored, afterPct: chances.map((each) => 100 * each) };
  });
  const ranked = ids
    .map((id, index) => ({ id, pct: 100 * (chances[index] ?? 0), usualPct: 100 * (usual[index] ?? 0) }))
    .sort((a, b) => b.pct - a.pct);
  const asked = new Set(observed.map(({ sign }) => sign.id));
  const open = table.signs.filter((sign) => !asked.has(sign.id));
  return { ranked, causes: ids, steps, next: nextLooks(ids, chances, open), contradicting };
}

const likelihood = (sign: Sign, cause: string, present: boolean): number => {
  const chance = sign.given[cause] ?? sign.otherwise;
  return present ? chance : 1 - chance;
};

/** Chances brought to a sum of one; as they are where there is nothing to share out. */
function toOne(chances: readonly number[]): number[] {
  const sum = chances.reduce((total, each) => total + each, 0);
  return chances.map((each) => (sum > 0 ? each / sum : 0));
}

function requireKnown(signs: ReadonlyMap<string, Sign>, yes: readonly string[], no: readonly string[]): void {
  const unknown = (path: string, list: readonly string[]) =>
    list.flatMap((id, index) =>
      signs.has(id)
        ? []
        : [{ path: `${path}.${index}`, message: `Must be a sign of this kind: ${[...signs.keys()].join(', ')}.` }],
    );
  const both = yes.findIndex((id) => no.includes(id));
  const problems = [
    ...unknown('yes', yes),
    ...unknown('no', no),
    ...(both < 0 ? [] : [{ path: `yes.${both}`, message: `Must not be among those not seen as well: ${yes[both]}.` }]),
  ];
  if (problems.length > 0) throw new Refusal(problems);
}

/** The signs that rule causes out, where together they rule out all of them. */
function whatContradicts(
  ids: readonly string[],
  usual: readonly number[],
  observed: readonly { sign: Sign; present: boolean }[],
): string[] {
  const isLeft = ids.some(
    (cause, index) =>
      (usual[index] ?? 0) > 0 && observed.every(({ sign, present }) => likelihood(sign, cause, present) > 0),
  );
  if (isLeft) return [];
  return observed
    .filter(({ sign, present }) => ids.some((cause) => likelihood(sign, cause, present) === 0))
    .map(({ sign }) => sign.id);
}

/** Uncertainty that is left. bits */
const entropyBits = (chances: readonly number[]): number =>
  chances.reduce((sum, each) => (each > 0 ? sum - each * Math.log2(each) : sum), 0);

function nextLooks(ids: readonly string[], chances: readonly number[], open: readonly Sign[]): NextLook[] {
  const now = entropyBits(chances);
  const top = (list: readonly number[]) => {
    const best = Math.max(...list);
    return { cause: ids[list.indexOf(best)] ?? '', pct: 100 * best };
  };
  return open
    .map((sign): NextLook => {
      const under = (present: boolean) =>
        chances.map((chance, index) => chance * likelihood(sign, ids[index] ?? '', present));
      const seen = under(true).reduce((sum, each) => sum + each, 0);
      const [ifSeen, ifNot] = [toOne(under(true)), toOne(under(false))];
      const gainBits = now - seen * entropyBits(ifSeen) - (1 - seen) * entropyBits(ifNot);
      return { sign: sign.id, gainBits, seenPct: 100 * seen, ifYes: top(ifSeen), ifNo: top(ifNot) };
    })
    .filter(({ gainBits }) => gainBits >= LEAST_GAIN_BITS)
    .sort((a, b) => b.gainBits - a.gainBits);
}
