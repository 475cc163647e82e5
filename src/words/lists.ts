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
export const COLUMN_WORDS: Record<string, string> = {
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
export const columnWords = (kind: TableKind, name: string): string =>
  kind === 'residents' && name === 'on' ? 'Here since' : (COLUMN_WORDS[name] ?? name);
