import type { Container, Opens, WallKind } from '@/core/housing/container';
import { OPENINGS, WALL_KINDS } from '@/core/housing/container';
import type { LengthUnit } from '@/core/measure/length';
import { cellsOf, lengthInCell, type Column, type Mapping } from './columns';
import type { CellProblem, ReadRow } from './readRow';

export const BOX_COLUMNS: readonly Column[] = [
  { name: 'code', words: ['code', 'box', 'id', 'number', 'no', 'name', 'label', 'enclosure', 'tub'], isNeeded: true },
  { name: 'room', words: ['room', 'place', 'location'] },
  { name: 'shelf', words: ['shelf', 'rack', 'row'] },
  { name: 'size', words: ['size', 'dimensions', 'inside', 'l x w x h', 'lxwxh'] },
  { name: 'length', words: ['length', 'l'] },
  { name: 'width', words: ['width', 'depth front to back', 'w'] },
  { name: 'height', words: ['height', 'h'] },
  { name: 'diameter', words: ['diameter', 'round', 'd'] },
  { name: 'soil', words: ['soil', 'substrate', 'soil depth', 'substrate depth', 'depth'] },
  { name: 'walls', words: ['walls', 'material', 'made of'] },
  { name: 'opens', words: ['opens', 'opening', 'access', 'door'] },
  { name: 'lid', words: ['lid', 'top'] },
];

/** A box as a table tells it. Its openings are told on its page: a table has no room for them. */
export interface BoxRow {
  code: string;
  room: string;
  shelf: string;
  container: Container;
  substrateDepthMm: number;
}

export interface BoxTableOptions {
  header: readonly string[];
  mapping: Mapping;
  unit: LengthUnit;
  /** Where those stand of which no room or shelf is told. */
  room: string;
  shelf: string;
}

const LIDS = ['solid', 'vented', 'mesh'] as const;

/** Reads one row of a table of boxes. */
export function readBox(row: readonly string[], options: BoxTableOptions): ReadRow<BoxRow> {
  const { header, mapping, unit } = options;
  const cell = cellsOf(row, mapping);
  const problems: CellProblem[] = [];
  const wrong = (column: string, message: string) => void problems.push({ column, message });
  const lengthOf = (name: string): number | undefined => {
    const text = cell(name);
    if (text === '') return undefined;
    const read = lengthInCell(text, header[mapping[name] ?? -1] ?? '', unit);
    if (typeof read === 'number') return read;
    wrong(name, read);
    return undefined;
  };
  const code = cell('code');
  if (code === '') wrong('code', 'Write what the box is called.');
  const [room, shelf] = [cell('room') || options.room, cell('shelf') || options.shelf];
  if (room === '' || shelf === '') wrong(room === '' ? 'room' : 'shelf', 'Say where it stands.');
  const whole = cell('size') === '' ? undefined : lengthsIn(cell('size'), header[mapping['size'] ?? -1] ?? '', unit);
  if (whole === null) wrong('size', 'Write it as 30 x 20 x 20 cm.');
  const [longMm, wideMm, highMm] = whole ?? [lengthOf('length'), lengthOf('width'), lengthOf('height')];
  const diameterMm = lengthOf('diameter') ?? (whole?.length === 2 ? whole[0] : undefined);
  const heightMm = whole?.length === 2 ? whole[1] : (highMm ?? lengthOf('height'));
  const soilMm = cell('soil') === '' || /^0+([.,]0+)?$/.test(cell('soil')) ? 0 : lengthOf('soil');
  const isRound = diameterMm !== undefined;
  if (
    problems.length === 0 &&
    (heightMm === undefined || (!isRound && (longMm === undefined || wideMm === undefined)))
  ) {
    wrong('size', 'Give the length, width and height inside, or the diameter and height.');
  }
  const told = {
    lid: wordIn(cell('lid'), LIDS, 'lid', problems) ?? ('solid' as const),
    ...optional('walls', wordIn<WallKind>(cell('walls'), WALL_KINDS, 'walls', problems)),
    ...optional('opens', wordIn<Opens>(cell('opens'), OPENINGS, 'opens', problems)),
    vents: [],
  };
  if (problems.length > 0 || heightMm === undefined) return { problems };
  const container: Container = isRound
    ? { shape: 'cylinder', diameterMm, heightMm, ...told }
    : { shape: 'box', lengthMm: longMm ?? 0, widthMm: wideMm ?? 0, heightMm, ...told };
  return { row: { code, room, shelf, container, substrateDepthMm: soilMm ?? 0 }, notes: [] };
}

const optional = <Value>(name: string, value: Value | undefined) => (value === undefined ? {} : { [name]: value });

/** One of a few words; what is not among them is a problem. */
function wordIn<Word extends string>(
  text: string,
  words: readonly Word[],
  name: string,
  problems: CellProblem[],
): Word | undefined {
  const typed = text.toLowerCase();
  if (typed === '') return undefined;
  const found = words.find((word) => word === typed);
  if (!found) problems.push({ column: name, message: `“${text}” is none of ${words.join(', ')}.` });
  return found;
}

/** "30 x 20 x 20 cm": three lengths of a box, two of a round one. Null where it cannot be read. mm */
function lengthsIn(text: string, title: string, unit: LengthUnit): number[] | null {
  const [, body = '', suffix = ''] = /^(.*?)\s*(mm|cm|in|inches|")?$/i.exec(text.trim()) ?? [];
  const parts = body.split(/\s*[x×*]\s*/i);
  if (parts.length < 2 || parts.length > 3) return null;
  const read = parts.map((part) => lengthInCell(/[a-z"]$/i.test(part) ? part : `${part} ${suffix}`, title, unit));
  return read.every((each) => typeof each === 'number') ? read : null;
}
