const PLURALS = new Intl.PluralRules('en');
const LISTS = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** A number with its noun: "1 job", "3 jobs", "2 boxes", "1,200 eggs". */
export function countWords(count: number, one: string, more = `${one}s`): string {
  return `${count.toLocaleString('en-GB')} ${PLURALS.select(count) === 'one' ? one : more}`;
}

/** "soil", "soil and water", "soil, water and air". */
export const listWords = (items: readonly string[]): string => LISTS.format(items);

const CHOICES = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** "ivy", "bramble or ivy". */
export const orListWords = (items: readonly string[]): string => CHOICES.format(items);

/** "71 %". */
export const pct = (value: number) => `${Math.round(value)} %`;

/** A number as it is read, not as it is kept. */
export const shortNumber = (value: number): string =>
  (Math.abs(value) >= 100 ? Math.round(value) : Number(value.toPrecision(3))).toLocaleString('en-GB', {
    maximumFractionDigits: 6,
  });
