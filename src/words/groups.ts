import type { ResidentBatch } from '@/contract/growth';
import { daysWords } from './days';
import { countWords } from './count';

const pct = (share: number) => Math.round(100 * share);

/** "22 came, 7 died: 68 % live on after 68 days (49 to 88 %)". */
export function survivalWords({ total, deaths, steps, followed }: ResidentBatch['survival']): string {
  const last = steps.at(-1);
  if (deaths === 0 || !last) return `${total} came, none has died in ${daysWords(Math.round(followed))}.`;
  if (last.survival === 0) return `${total} came, all have died in ${daysWords(Math.round(last.time))}.`;
  return `${total} came, ${deaths} died: ${pct(last.survival)} % live on after ${daysWords(Math.round(last.time))} (${pct(last.low)} to ${pct(last.high)} %).`;
}

/** Another batch at the age of this one: "30 came, 57 % lived on after 96 days". */
export function comparedWords({ total, steps, followed }: ResidentBatch['survival'], days: number): string {
  const until = Math.min(days, followed);
  const last = steps.filter((each) => each.time <= until).at(-1);
  return `${total} came, ${pct(last?.survival ?? 1)} % lived on after ${daysWords(Math.round(until))}.`;
}

/** "They live on alike, as far as can be told: so much by chance in 34 % of such pairs."; null where nobody has died. */
export function alikeWords(rank: ResidentBatch['compared'][number]['logRank']): string | null {
  if (!rank) return null;
  const { chancePct, deaths, expected } = rank;
  const chance = chancePct < 1 ? 'under 1 %' : `${Math.round(chancePct)} %`;
  if (chancePct >= 5) return `They live on alike, as far as can be told: so much by chance in ${chance} of such pairs.`;
  return `These live on ${deaths > expected ? 'worse' : 'better'}: so much by chance in ${chance} of such pairs.`;
}

/** What a count could not find. */
export function missingWords(missing: number): string | null {
  if (missing === 0) return null;
  return `${countWords(missing, 'was', 'were')} missing when they were counted, and ${missing === 1 ? 'is' : 'are'} taken for dead.`;
}
