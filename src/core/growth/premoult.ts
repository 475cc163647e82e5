import type { MoultSign } from '@/core/profiles/profile';

/**
 * How many times as often a sign is seen in an animal within a month of its moult as in any other. From memory: refusing
 * food is common without a moult, hanging or contractions hardly ever.
 */
export const SIGN_TIMES: Record<MoultSign, number> = {
  'refused-food': 3,
  dull: 4,
  dark: 5,
  'bald-patch-dark': 12,
  webbed: 4,
  sealed: 6,
  buried: 2.5,
  hanging: 25,
  contractions: 40,
  swollen: 5,
};

/** Signs come together: each further one says less. @see premoultChance */
const FURTHER = 0.7;

/**
 * The chance that a moult is close, by Bayes: the odds by the calendar times what the signs say. The strongest sign
 * counts whole, each further one with a smaller power, because they are not independent.
 * @param priorPct by the forecast alone, 0 to 100
 */
export function premoultChance(
  priorPct: number,
  signs: readonly MoultSign[],
): { pct: number; used: { sign: MoultSign; times: number }[] } {
  const prior = Math.min(0.995, Math.max(0.005, priorPct / 100));
  const used = [...new Set(signs)]
    .map((sign) => ({ sign, times: SIGN_TIMES[sign] }))
    .sort((a, b) => b.times - a.times)
    .map(({ sign, times }, index) => ({ sign, times: times ** (FURTHER ** index) }));
  const odds = used.reduce((product, { times }) => product * times, prior / (1 - prior));
  return { pct: (100 * odds) / (1 + odds), used };
}
