import type { Day } from '@/core/measure/day';
import type { LengthUnit } from '@/core/measure/length';
import { checkScientificName } from '@/core/measure/scientificName';
import type { BodyMeasure, SEXES, Stage } from '@/core/profiles/profile';
import { cellsOf, headsInCell, lengthInCell, type Column, type Mapping } from './columns';
import type { CellProblem, ReadRow } from './readRow';
import { typedDay, type DateOrder } from './typedDay';

export const RESIDENT_COLUMNS: readonly Column[] = [
  {
    name: 'scientificName',
    words: ['scientific name', 'species', 'latin name', 'latin', 'taxon', 'scientific', 'animal'],
    isNeeded: true,
  },
  { name: 'box', words: ['box', 'code', 'enclosure', 'tub', 'home', 'container'], isNeeded: true },
  { name: 'called', words: ['called', 'name', 'nickname', 'pet name', 'id'] },
  { name: 'commonName', words: ['common name', 'trade name', 'common'] },
  { name: 'stage', words: ['stage', 'life stage', 'age'] },
  { name: 'sex', words: ['sex', 'gender'] },
  { name: 'size', words: ['size', 'leg span', 'span', 'dls', 'body length', 'length', 'carapace'] },
  { name: 'mass', words: ['weight', 'mass'] },
  { name: 'heads', words: ['how many', 'count', 'heads', 'quantity', 'qty', 'amount'] },
  { name: 'instar', words: ['instar', 'molt number', 'moult number'] },
  {
    name: 'on',
    words: ['here since', 'arrival', 'arrived', 'acquired', 'taken in', 'since', 'bought', 'date acquired'],
  },
  { name: 'lastMoultOn', words: ['last moult', 'last molt', 'moulted', 'molted'] },
  { name: 'lastMealOn', words: ['last meal', 'last fed', 'last feeding', 'fed'] },
  { name: 'bornOn', words: ['hatched', 'born', 'hatch date', 'birth'] },
  { name: 'source', words: ['source', 'from', 'breeder', 'origin', 'seller'] },
  { name: 'batch', words: ['batch', 'clutch', 'sac'] },
  { name: 'permit', words: ['permit', 'papers', 'cites'] },
];

/** A newcomer as a table tells it, with the code of its box. */
export interface ResidentRow extends Partial<Record<BodyMeasure, number>> {
  scientificName: string;
  box: string;
  stage: Stage;
  sex: (typeof SEXES)[number];
  called?: string;
  commonName?: string;
  massG?: number;
  headCount?: number;
  headsAbout?: boolean;
  instar?: number;
  on?: Day;
  lastMoultOn?: Day;
  lastMealOn?: Day;
  bornOn?: Day;
  source?: string;
  batch?: string;
  permit?: string;
}

/** What is known of the kind that a name means. */
export interface KindFacts {
  stages: readonly Stage[];
  takes: BodyMeasure;
}

export interface ResidentTableOptions {
  header: readonly string[];
  mapping: Mapping;
  unit: LengthUnit;
  order: DateOrder;
  today: Day;
  /** Null where nobody knows the name, nor its genus. */
  kindOf: (scientificName: string) => KindFacts | null;
}

const STAGE_WORDS: Record<string, readonly Stage[]> = {
  sling: ['spiderling', 'nymph', 'juvenile'],
  baby: ['spiderling', 'nymph', 'juvenile'],
  'sub-adult': ['subadult'],
  'sub adult': ['subadult'],
  sa: ['subadult'],
  caterpillar: ['larva'],
  cocoon: ['pupa'],
  ova: ['egg'],
  eggs: ['egg'],
  mature: ['adult'],
  juv: ['juvenile', 'nymph'],
  grown: ['adult'],
};
const SEX_WORDS: Record<string, ResidentRow['sex']> = {
  f: 'female',
  '♀': 'female',
  female: 'female',
  m: 'male',
  '♂': 'male',
  male: 'male',
};
const DAYS = ['on', 'lastMoultOn', 'lastMealOn', 'bornOn'] as const;
const TEXTS = ['called', 'commonName', 'source', 'batch', 'permit'] as const;

/** Reads one row of a table of residents. Nothing is guessed unsaid: what was taken for what stands in the notes. */
export function readResident(row: readonly string[], options: ResidentTableOptions): ReadRow<ResidentRow> {
  const { header, mapping, unit, order, today, kindOf } = options;
  const cell = cellsOf(row, mapping);
  const problems: CellProblem[] = [];
  const wrong = (column: string, message: string) => void problems.push({ column, message });
  const notes: string[] = [];
  const name = nameIn(cell('scientificName'), problems, notes);
  const kind = name === null ? null : kindOf(name);
  if (name !== null && !kind)
    wrong('scientificName', `Nobody here knows ${name}, or another of its genus. Take it in by hand.`);
  if (cell('box') === '') wrong('box', 'Write the code of its box.');
  const told: Partial<ResidentRow> = {};
  for (const each of TEXTS) if (cell(each) !== '') told[each] = cell(each);
  for (const each of DAYS) {
    const text = cell(each);
    if (text === '') continue;
    const day = typedDay(text, order, today);
    if (!day) wrong(each, `“${text}” is no day: write 2026-03-14.`);
    else if (day.on > today) wrong(each, `${day.on} has not come yet.`);
    else {
      told[each] = day.on;
      if (day.isAbout) notes.push(`“${text}” is taken as ${day.on}`);
    }
  }
  if (kind && cell('size') !== '') {
    const size = lengthInCell(cell('size'), header[mapping['size'] ?? -1] ?? '', unit);
    if (typeof size === 'number') told[kind.takes] = size;
    else wrong('size', size);
  }
  if (cell('heads') !== '') {
    const heads = headsInCell(cell('heads'));
    if (!heads) wrong('heads', `“${cell('heads')}” is no number of animals.`);
    // One animal is no group.
    else if (heads.heads > 1)
      Object.assign(told, { headCount: heads.heads, ...(heads.isAbout && { headsAbout: true }) });
  }
  numberIn('mass', 'massG', /^(\d+(?:[.,]\d+)?)\s*(?:g|grams?)?$/i);
  numberIn('instar', 'instar', /^(?:L|i|instar)?\s*(\d{1,2})$/i);
  const sex = SEX_WORDS[cell('sex').toLowerCase()] ?? 'unknown';
  const stage = kind && stageIn(cell('stage'), kind.stages, problems, notes);
  if (problems.length > 0 || name === null || !stage) return { problems };
  return { row: { ...told, scientificName: name, box: cell('box'), stage, sex }, notes };

  function numberIn(column: string, field: 'massG' | 'instar', written: RegExp) {
    const text = cell(column);
    if (text === '') return;
    const value = Number((written.exec(text)?.[1] ?? '').replace(',', '.'));
    if (value > 0) told[field] = value;
    else wrong(column, `“${text}” is no number over 0.`);
  }
}

/** A name that only needs its capitals put right is put right, and that is said; two names in a cell are none. */
function nameIn(text: string, problems: CellProblem[], notes: string[]): string | null {
  const check = checkScientificName(text);
  if (check.ok) return check.name;
  if (check.suggestion === undefined) {
    problems.push({ column: 'scientificName', message: check.problem });
    return null;
  }
  notes.push(`“${text}” is written ${check.suggestion}`);
  return check.suggestion;
}

/** The stage by its word; where none is told, one that is half grown, and that is said. */
function stageIn(text: string, stages: readonly Stage[], problems: CellProblem[], notes: string[]): Stage | null {
  const typed = text.toLowerCase();
  const known: readonly Stage[] = [...stages, 'egg'];
  if (typed === '') {
    const half = (['juvenile', 'nymph'] as const).find((each) => stages.includes(each)) ?? stages.at(-1) ?? 'adult';
    notes.push(`no stage is told: taken as ${half}`);
    return half;
  }
  const found = [...(STAGE_WORDS[typed] ?? []), typed as Stage].find((each) => known.includes(each));
  if (!found) problems.push({ column: 'stage', message: `“${text}” is none of ${[...new Set(known)].join(', ')}.` });
  return found ?? null;
}
