import { JOB_WORDS } from './jobKinds';
import type { CardKey, CardLine, CardPart, Calculator } from '@/core/handbook/card';
import type { Range } from '@/core/numerics/spreads';
import { ruleWords } from './profiles';
import { shortNumber } from './count';
import { capital } from './text';

export const PART_WORDS: Record<CardPart, string> = {
  home: 'Home',
  soil: 'Soil',
  air: 'Air and water',
  warmth: 'Warmth',
  food: 'Food',
  moult: 'Moult',
  breeding: 'Breeding',
  rest: 'Rest',
  danger: 'Danger',
};

export const TOOL_WORDS: Record<Calculator, string> = {
  boxes: 'Boxes that fit',
  build: 'Build sheet',
  air: 'Air and water',
  feeding: 'Feeding',
  growth: 'Moult forecast',
  broods: 'Broods',
  colonies: 'Colonies',
  rest: 'Winter rest',
  round: 'The round',
};

const KEY_WORDS: Record<CardKey, string> = {
  rule: '',
  grown: 'Grown at about',
  'growth-at-moult': 'Larger at each moult',
  'damp-share': 'Damp share of the floor',
  wetness: 'Dry end to damp end',
  litter: 'Litter on top',
  humidity: 'Humidity',
  'damped-under': 'Damped again under',
  'air-changes': 'Changes of air, at least',
  'open-share': 'Openings, of the floor',
  temperature: 'Temperature',
  'bears-outside': 'Bears to be outside its bands',
  meals: 'Offered food',
  ration: 'Eats in a week, of its weight',
  'prey-length': 'Longest prey, by its abdomen',
  leftovers: 'What is left comes out after',
  'offer-again': 'After a refusal, again in',
  'leaves-summer': 'Leaves changed, midsummer',
  'leaves-winter': 'Leaves changed, midwinter',
  portions: 'Portion, of its weight',
  sugar: 'Sugar water a day, in microlitres',
  seeds: 'Seeds a day, in milligrams',
  'garden-leaves': 'Leaves a day for the garden',
  protein: 'Insects a day for a larva, in milligrams',
  'moult-interval': 'From moult to moult',
  quiet: 'Left alone after a moult',
  'eggs-mated': 'Eggs hatch, mother mated',
  'eggs-unmated': 'Eggs hatch, mother not mated',
  cocoon: 'In the cocoon',
  'moth-life': 'Lives as a moth',
  'grown-life': 'Grown ones live',
  'rest-band': 'Rests at',
  'rest-floor': 'Never under',
  'rest-weeks': 'Rests for',
  work: '',
};

/** A number of a card, short: "60 to 95 %", "every 14 days, 2 at a time". */
export function cardValue(line: CardLine, temperature: (celsius: number) => string): string {
  if (line.rule) return ruleWords(line.rule);
  const { min = 0, max = min } = line;
  const span = (write: (value: number) => string) => (min === max ? write(min) : `${write(min)} to ${write(max)}`);
  if (line.key === 'meals') return `every ${min} days, ${line.count} at a time`;
  if (line.key === 'work') return min === 1 ? 'every day' : `every ${min} days`;
  if (line.key === 'quiet') return `${min} days`;
  switch (line.unit) {
    case 'C':
      return span(temperature);
    case 'of full':
      return `${span((value) => String(Math.round(100 * value)))} % of all it holds`;
    case '/h':
      return `${span(String)} an hour`;
    case 'h':
      return `${span(String)} hours`;
    case 'times':
      return `${span(String)} times`;
    case 'per worker':
      return `${span(String)} a worker`;
    case '%':
      return `${span((value) => String(value))} %`;
    default:
      return `${span((value) => String(Math.round(value * 10) / 10))} ${line.unit}`;
  }
}

export const cardLabel = (line: CardLine): string =>
  line.rule ? line.rule.words.pass : line.work ? capital(JOB_WORDS[line.work].noun) : KEY_WORDS[line.key];

/** In the unit in which its number is read. */
function rangeWords({ min, max }: Range, unit: CardLine['unit']): string {
  const times = unit === 'of full' ? 100 : 1;
  return `${shortNumber(times * min)} to ${shortNumber(times * max)}`;
}

/** What a number rests on: its basis, between which it lies, its school, its stages. The work in which it stands is told apart. */
export function cardGround({ basis, range, unit, school, stages }: CardLine): string {
  const words = [
    basis,
    range && `${rangeWords(range, unit)} in eight of ten`,
    school ? `${school.name}${school.isUsual ? ', the usual school' : ''}` : undefined,
    stages ? stages.join(', ') : undefined,
  ];
  return words.filter((word) => word !== undefined).join('; ');
}
