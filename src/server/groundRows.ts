import type { WeighedNumber } from '@/contract/ground';
import type { NumberWeight } from './weights';
import { capital } from '@/words/text';
import type { Knowledge, KnowledgePart } from '@/core/ground/knowledge';
import { numbersOf, rowOn, type KnownNumber } from '@/core/ground/numbers';
import { fieldWords } from './openapi/fields';

type Tree = Readonly<Record<string, unknown>>;

/** Every number with whose it is, what it says, and how much hangs on it; heaviest first, whole counts last. */
export function weighedNumbers(knowledge: Knowledge, weights: readonly NumberWeight[]): WeighedNumber[] {
  const weightOf = new Map(weights.map((each) => [each.id, each]));
  const profileNames = new Map(knowledge.profiles.map(({ id, name }) => [id, name]));
  const rows = numbersOf(knowledge).map((number): WeighedNumber => {
    const { weight = 0, byQuestion = {} } = weightOf.get(number.id) ?? {};
    return { ...number, ...wordsOf(number, knowledge, profileNames), weight, byQuestion, rank: null };
  });
  rows.sort((a, b) => b.weight - a.weight);
  return rows.map((row, index) => (row.weight > 0 ? { ...row, rank: index + 1 } : row));
}

/** Ends of a limit and of a band, in words. */
const END_WORDS: Record<string, string> = {
  min: 'at least',
  max: 'at most',
  watchMin: 'watched down to',
  watchMax: 'watched up to',
};

function wordsOf(
  { id, part }: KnownNumber,
  knowledge: Knowledge,
  profileNames: ReadonlyMap<string, string>,
): Pick<WeighedNumber, 'of' | 'sentence'> {
  const path = id.split('/').slice(1);
  const rows = path.map((_, index) => rowOn(knowledge, [part, ...path.slice(0, index + 1)]));
  const [top] = rows as [Tree];
  const rule = rows.find((row): row is Tree => isTree(row) && typeof row.why === 'string' && 'quantity' in row);
  const names = path.filter((name) => !/^\d+$/.test(name));
  const end = names.map((name) => END_WORDS[name]).find((each) => each !== undefined);
  const said = rule ? sentenceOfRule(rule) : sentenceOfField(names.slice(1));
  const below = rows.slice(1).flatMap((row) => (isTree(row) && row !== rule ? labelOf(row) : []));
  return {
    of: capital([topLabel(top, part, profileNames), ...below].join(', ')),
    sentence: end === undefined ? said : `${said.replace(/\.$/, '')}: ${end}.`,
  };
}

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null && !Array.isArray(value);

function topLabel(row: Tree, part: KnowledgePart, profileNames: ReadonlyMap<string, string>): string {
  const { name, title, plural, profiles, silhouettes, species } = row;
  for (const own of [plural, name, title]) if (typeof own === 'string') return own;
  if (Array.isArray(species)) return species.join(', ');
  if (Array.isArray(profiles)) return profiles.map((id) => profileNames.get(String(id)) ?? id).join(', ');
  return Array.isArray(silhouettes) ? silhouettes.join(', ') : part;
}

/** What a row within a row is called: a size, a sign, the stages it holds for. */
function labelOf({ name, title, stages, work, id }: Tree): string[] {
  for (const own of [title, name]) if (typeof own === 'string') return [own];
  if (Array.isArray(stages)) return [[work, stages.join(', ')].filter(Boolean).join(' of ')];
  return typeof id === 'string' ? [id] : [];
}

const sentenceOfRule = ({ words, why }: Tree): string => `${(words as { pass: string }).pass}. ${String(why)}`;

/** Days and the like say what they are of by where they stand. */
const BY_PLACE: readonly [RegExp, string][] = [
  [/intervals.*days/, 'Days from one moult to the next, at 25 °C.'],
  [/bearsHunger.*days/, 'Days for which it bears to eat nothing.'],
  [/quietAfterMoult.*days/, 'Days for which it is left alone after a moult.'],
  [/young.*days/, 'Days that the stage lasts at its warmth of reference.'],
  [/meals.*everyDays/, 'Days between meals.'],
  [/work.*everyDays/, 'Days between two times of this work.'],
  [/deathsPerYear/, 'Share of them that dies in a year.'],
  [/given/, 'How often the sign is seen where this is the cause, as a share.'],
];

/** The last name on the way to it that says something; names of rows say nothing of a field. */
function sentenceOfField(names: readonly string[]): string {
  const way = names.join(' ');
  const placed = BY_PLACE.find(([place]) => place.test(way));
  if (placed) return placed[1];
  const told = names.filter((name) => !['value', 'min', 'max'].includes(name)).reverse();
  const said = told.map((name) => fieldWords(name, {})).find((each) => each !== undefined);
  return said ?? told[0] ?? '';
}
