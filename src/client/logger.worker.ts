import { expose } from 'comlink';
import Papa from 'papaparse';
import {
  guessMapping,
  NotATable,
  readLoggerTable,
  tableIn,
  type ColumnMapping,
  type LoggerTable,
} from '@/core/readings/loggerTable';

export interface Preview {
  header: string[];
  /** The first rows, to see what is what. */
  rows: string[][];
  rowCount: number;
  guess: Partial<ColumnMapping>;
}

export type Summary = Omit<LoggerTable, 'readings'> & {
  count: number;
  firstAt: number;
  lastAt: number;
  lowestC: number | null;
  highestC: number | null;
};

type Row = [
  at: number,
  temperatureC: number | null,
  relativeHumidityPct: number | null,
  mark: 'spike' | 'clock' | null,
];

const LARGEST_BYTES = 60_000_000;

/** The file stays here: the page asks for a look at it, and for its readings piece by piece. */
let table: string[][] = [];
let headerLine = 1;
let readings: LoggerTable['readings'] = [];

const work = {
  /** @returns a sentence where the file cannot be read at all */
  async open(file: File, zone: string): Promise<Preview | string> {
    if (file.size > LARGEST_BYTES) return 'The file is larger than 60 MB. Split it, a year at a time.';
    const text = (await file.text()).replace(/^\uFEFF/, '');
    const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false });
    try {
      ({ table, headerLine } = tableIn(data));
    } catch (error) {
      if (error instanceof NotATable) return error.message;
      throw error;
    }
    return {
      header: table[0] ?? [],
      rows: table.slice(1, 4),
      rowCount: table.length - 1,
      guess: guessMapping(table, zone),
    };
  },

  read(mapping: ColumnMapping): Summary {
    const { readings: read, ...rest } = readLoggerTable(table, mapping, headerLine);
    readings = read;
    const warmth = read.flatMap(({ temperatureC, mark }) => (temperatureC === undefined || mark ? [] : [temperatureC]));
    const extreme = (pick: (a: number, b: number) => number) =>
      warmth.length > 0 ? warmth.reduce((a, b) => pick(a, b)) : null;
    return {
      ...rest,
      count: read.length,
      firstAt: read[0]?.at ?? 0,
      lastAt: read.at(-1)?.at ?? 0,
      lowestC: extreme(Math.min),
      highestC: extreme(Math.max),
    };
  },

  piece(from: number, count: number): Row[] {
    return readings
      .slice(from, from + count)
      .map(({ at, temperatureC, relativeHumidityPct, mark }) => [
        at,
        temperatureC ?? null,
        relativeHumidityPct ?? null,
        mark,
      ]);
  },
};
export type LoggerWork = typeof work;

expose(work);
