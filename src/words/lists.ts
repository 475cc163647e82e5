import type { BroughtList } from '@/contract/lists';
import type { TableKind } from '@/core/records/readTable';
import { countWords } from './count';

export const LIST_KIND_WORDS: readonly { value: TableKind; title: string }[] = [
  { value: 'boxes', title: 'Boxes' },
  { value: 'residents', title: 'Residents' },
  { value: 'events', title: 'Past events' },
];

const ONE: Record<TableKind, [string, string]> = {
  boxes: ['box', 'boxes'],
  residents: ['resident', 'residents'],
  events: ['event', 'events'],
};

/** "200 residents". */
export const rowsWords = (kind: TableKind, rows: number): string => countWords(rows, ...ONE[kind]);

/** "200 residents from my-spiders". */
export const listWordsOf = ({ kind, rows, name }: Pick<BroughtList, 'kind' | 'rows' | 'name'>): string =>
  `${rowsWords(kind, rows)}${name === null ? '' : ` from ${name}`}`;

/** What the columns of a list are called. */
const COLUMN_WORDS: Record<string, string> = {
  code: 'Code of the box',
  room: 'Room',
  shelf: 'Shelf',
  size: 'Size',
  length: 'Length',
  width: 'Width',
  height: 'Height',
  diameter: 'Diameter',
  soil: 'Depth of the soil',
  walls: 'Walls',
  opens: 'Opens',
  lid: 'Lid',
  scientificName: 'Scientific name',
  box: 'Code of the box',
  called: 'What you call it',
  commonName: 'Common name',
  stage: 'Stage',
  sex: 'Sex',
  mass: 'Weight, g',
  heads: 'How many',
  instar: 'Instar',
  on: 'Day',
  lastMoultOn: 'Last moult',
  lastMealOn: 'Last meal',
  bornOn: 'Hatched on',
  source: 'Where it came from',
  batch: 'Batch',
  permit: 'Permit',
  who: 'Whom it is about',
  what: 'What was done',
  count: 'How many of them',
  note: 'Note',
};
/** The column that a field of what is sent came from. */
const COLUMN_OF: Record<string, string> = {
  homeId: 'box',
  legSpanMm: 'size',
  bodyLengthMm: 'size',
  carapaceWidthMm: 'size',
  massG: 'mass',
  headCount: 'heads',
  substrateDepthMm: 'soil',
  residentId: 'who',
  kind: 'what',
};

/** What is wrong in a row, at the column it came from: "Code of the box: There is no box K9." */
export function problemWords(kind: TableKind, path: string, message: string): string {
  const name = path.startsWith('container') ? 'size' : (COLUMN_OF[path] ?? path);
  return name in COLUMN_WORDS ? `${columnWords(kind, name)}: ${message}` : message;
}

export const columnWords = (kind: TableKind, name: string): string =>
  kind === 'residents' && name === 'on' ? 'Here since' : (COLUMN_WORDS[name] ?? name);
