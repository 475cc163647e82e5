import { localTimeToInstant } from '@/core/measure/zone';
import { gapsIn, markSpikes } from './marks';
import type { MarkedReading, Reading } from './reading';

/** Which column of a logger's file holds what, and how it is written. */
export interface ColumnMapping {
  /** Columns by their place from 0. Date and time may share one. */
  timeColumn: number;
  secondTimeColumn?: number | undefined;
  temperatureColumn?: number | undefined;
  humidityColumn?: number | undefined;
  temperatureUnit: 'C' | 'F';
  /** Order of day, month and year where the file does not write the year first. */
  dateOrder: 'ymd' | 'dmy' | 'mdy';
  /** IANA name of the zone that the logger's clock was set to. */
  zone: string;
}

/** One row that could not be read: its line (the header is line 1), column and what would be right. */
export interface RowProblem {
  line: number;
  column: string;
  message: string;
}

export interface LoggerTable {
  readings: MarkedReading[];
  problems: RowProblem[];
  /** Rows that could not be read at all, more than `problems` shows. */
  refused: number;
  /** Same instant twice: the first counts. */
  duplicates: number;
  /** Rows whose clock runs backwards. */
  clockJumps: number;
  spikes: number;
  gaps: number;
}

const MOST_PROBLEMS = 20;
export const TEMPERATURE_LIMITS_C = { min: -40, max: 60 } as const;

/** A number as loggers write it: `21.5`, `21,5`, `1.021,5`, with a unit behind it. NaN where it is none. */
export function loggerNumber(text: string): number {
  const bare = text.trim().replace(/\s*(°?\s*[CF]|%\s*(RH)?|RH|rF)\s*$/i, '');
  if (!/^[-+]?[\d.,\s]+$/.test(bare) || !/\d/.test(bare)) return NaN;
  const packed = bare.replace(/\s/g, '');
  const comma = packed.lastIndexOf(',');
  const point = packed.lastIndexOf('.');
  // The last mark that is there once is the decimal one.
  const decimal = comma > point ? ',' : '.';
  const whole = packed.split(decimal === ',' ? '.' : ',').join('');
  return whole.split(decimal).length > 2 ? NaN : Number(whole.replace(decimal, '.'));
}

/** What a header says its column holds. */
const HEADERS: { field: 'time' | 'temperature' | 'humidity'; words: RegExp }[] = [
  { field: 'humidity', words: /humid|feucht|humed|\brh\b|\brf\b|% ?rh|\bh\.?r\.?\b/i },
  { field: 'temperature', words: /temp|°\s*[cf]|celsius|fahrenheit|\bt\b/i },
  { field: 'time', words: /time|date|zeit|datum|fecha|stamp|uhr/i },
];

/** A first guess at the mapping, from the header and the first rows; null for what it does not see. */
export function guessMapping(rows: string[][], zone: string): Partial<ColumnMapping> {
  const [header = [], ...body] = rows;
  const find = (field: string, not: number[] = []) => {
    const words = HEADERS.find((each) => each.field === field)?.words;
    const at = header.findIndex((title, index) => !not.includes(index) && words?.test(title));
    return at < 0 ? undefined : at;
  };
  const humidityColumn = find('humidity');
  const temperatureColumn = find('temperature', humidityColumn === undefined ? [] : [humidityColumn]);
  const timeColumn = find('time');
  const second = timeColumn === undefined ? undefined : find('time', [timeColumn]);
  const isDateAlone = body.slice(0, 5).every((row) => !/\d:\d/.test(row[timeColumn ?? 0] ?? ''));
  const dates = body.slice(0, 200).map((row) => row[timeColumn ?? 0] ?? '');
  return {
    ...(timeColumn !== undefined && { timeColumn }),
    ...(second !== undefined && isDateAlone && { secondTimeColumn: second }),
    ...(temperatureColumn !== undefined && { temperatureColumn }),
    ...(humidityColumn !== undefined && { humidityColumn }),
    temperatureUnit: /f/i.test((header[temperatureColumn ?? -1] ?? '').replace(/temperature|of/gi, '')) ? 'F' : 'C',
    dateOrder: orderOf(dates),
    zone,
  };
}

/** Order of day and month: by a number over 12 where there is one, else as the separator suggests. */
function orderOf(dates: string[]): ColumnMapping['dateOrder'] {
  const parts = dates.map((text) => text.match(/^\D*(\d+)\D+(\d+)/)).filter((each) => each !== null);
  if (parts.some((each) => (each[1] ?? '').length === 4)) return 'ymd';
  if (parts.some((each) => Number(each[1]) > 12)) return 'dmy';
  if (parts.some((each) => Number(each[2]) > 12)) return 'mdy';
  return dates.some((text) => text.includes('.')) ? 'dmy' : 'mdy';
}

interface Parts {
  year: number;
  month: number;
  day: number;
  hour: number;
  minute: number;
  second: number;
}

/** Date and time as written; null where they do not make an instant. */
export function partsOf(text: string, order: ColumnMapping['dateOrder']): Parts | null {
  const date = text.match(/(\d{1,4})[-/. ](\d{1,2})[-/. ](\d{1,4})/);
  const time = text.match(/(\d{1,2}):(\d{2})(?::(\d{2}))?(?:[.,]\d+)?\s*(am|pm)?/i);
  if (!date) return null;
  const numbers = [Number(date[1]), Number(date[2]), Number(date[3])] as const;
  const [year, month, day] =
    (date[1] ?? '').length === 4 || order === 'ymd'
      ? numbers
      : order === 'dmy'
        ? [numbers[2], numbers[1], numbers[0]]
        : [numbers[2], numbers[0], numbers[1]];
  const late = /pm/i.test(time?.[4] ?? '');
  const early = /am/i.test(time?.[4] ?? '');
  const written = Number(time?.[1] ?? 0);
  const hour = late && written < 12 ? written + 12 : early && written === 12 ? 0 : written;
  const parts = {
    year: year < 100 ? 2000 + year : year,
    month,
    day,
    hour,
    minute: Number(time?.[2] ?? 0),
    second: Number(time?.[3] ?? 0),
  };
  const valid =
    month >= 1 && month <= 12 && day >= 1 && day <= 31 && hour < 24 && parts.minute < 60 && parts.second < 60;
  return valid ? parts : null;
}

/** An instant as written: with its own offset (`Z`, `+01:00`), or as the clock of a zone. NaN where it is none. */
export function instantOf(text: string, order: ColumnMapping['dateOrder'], zone: string): number {
  if (/T.*(Z|[+-]\d{2}:?\d{2})$/.test(text.trim())) return Date.parse(text.trim());
  const parts = partsOf(text, order);
  return parts ? localTimeToInstant(parts, zone) : NaN;
}

/**
 * Reads the rows of a logger's file (the first one is the header). Rows that cannot be read are counted and named, same
 * instants count once, spikes are marked, gaps counted; a clock that runs backwards is marked.
 * @param headerLine the line of the header within its file, from 1
 */
export function readLoggerTable(rows: string[][], mapping: ColumnMapping, headerLine = 1): LoggerTable {
  const header = rows[0] ?? [];
  const problems: RowProblem[] = [];
  const read: (Reading & { isClockJump: boolean })[] = [];
  let refused = 0;
  let latest = -Infinity;
  let clockJumps = 0;
  const title = (column: number) => header[column]?.trim() || `column ${column + 1}`;
  rows.slice(1).forEach((row, index) => {
    if (row.every((cell) => cell.trim() === '')) return;
    const wrong: RowProblem[] = [];
    const line = headerLine + index + 1;
    const written = [row[mapping.timeColumn], row[mapping.secondTimeColumn ?? -1]].filter((cell) => cell !== undefined);
    const at = instantOf(written.join(' '), mapping.dateOrder, mapping.zone);
    if (Number.isNaN(at)) {
      const message = `Must be a date and a time, for example 2026-03-14 19:30; got “${written.join(' ')}”.`;
      wrong.push({ line, column: title(mapping.timeColumn), message });
    }
    const temperatureC = valueOf(row, mapping.temperatureColumn, line, title, wrong, (value) =>
      mapping.temperatureUnit === 'F' ? ((value - 32) * 5) / 9 : value,
    );
    if (temperatureC !== undefined && outside(temperatureC, TEMPERATURE_LIMITS_C.min, TEMPERATURE_LIMITS_C.max)) {
      wrong.push({
        line,
        column: title(mapping.temperatureColumn ?? 0),
        message: `Must be from -40 to 60 C; got ${temperatureC.toFixed(1)} C.`,
      });
    }
    const relativeHumidityPct = valueOf(row, mapping.humidityColumn, line, title, wrong, (value) => value);
    if (relativeHumidityPct !== undefined && outside(relativeHumidityPct, 0, 100)) {
      wrong.push({
        line,
        column: title(mapping.humidityColumn ?? 0),
        message: `Must be from 0 to 100 %; got ${relativeHumidityPct}.`,
      });
    }
    if (wrong.length > 0 || (temperatureC === undefined && relativeHumidityPct === undefined)) {
      refused += 1;
      if (problems.length < MOST_PROBLEMS) problems.push(...wrong);
      return;
    }
    const isClockJump = at < latest;
    if (isClockJump) clockJumps += 1;
    latest = Math.max(latest, at);
    read.push({ at, temperatureC, relativeHumidityPct, isClockJump });
  });
  const byTime = [...read].sort((a, b) => a.at - b.at);
  const once = byTime.filter((each, index) => index === 0 || each.at !== byTime[index - 1]?.at);
  const marked = markSpikes(once).map(({ isClockJump, ...each }) => ({
    ...each,
    mark: each.mark ?? (isClockJump ? ('clock' as const) : null),
  }));
  return {
    readings: marked,
    problems,
    refused,
    duplicates: byTime.length - once.length,
    clockJumps,
    spikes: marked.filter((each) => each.mark === 'spike').length,
    gaps: gapsIn(marked).length,
  };
}

const outside = (value: number, min: number, max: number) => value < min || value > max;

function valueOf(
  row: string[],
  column: number | undefined,
  line: number,
  title: (column: number) => string,
  wrong: RowProblem[],
  convert: (value: number) => number,
): number | undefined {
  const text = column === undefined ? '' : (row[column] ?? '');
  // Loggers write dashes or nothing where the sensor did not answer.
  if (column === undefined || /^\s*(-+|n\/?a|nan)?\s*$/i.test(text)) return undefined;
  const value = loggerNumber(text);
  if (Number.isNaN(value)) {
    wrong.push({
      line,
      column: title(column),
      message: `Must be a number, for example 21.5; got “${text.slice(0, 40)}”.`,
    });
    return undefined;
  }
  return convert(value);
}

/** Rows of a file that cannot be read as columns: what is wrong with the file as a whole. */
export class NotATable extends Error {}

const DATE = /\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}/;
const MOST_ROWS = 500_000;

/**
 * The table within the rows of a file: loggers write lines about themselves first. The header is the row before the
 * first one that holds a date.
 * @throws NotATable with what would be right
 */
export function tableIn(rows: string[][]): { table: string[][]; headerLine: number } {
  const first = rows.findIndex((row) => row.some((cell) => DATE.test(cell)));
  if (first < 0) throw new NotATable('No row with a date was found. Is it the file of a logger, as text?');
  const header = Math.max(0, first - 1);
  const table = rows.slice(header);
  if ((table[1] ?? []).length < 2) {
    throw new NotATable('Only one column was found. Columns must be parted by commas, semicolons or tabs.');
  }
  const columns = (table[0] ?? []).length;
  const body = table.slice(1, 200);
  const longer = body.filter((row) => row.length > columns && row.slice(columns).some((cell) => cell.trim() !== ''));
  if (longer.length > body.length / 2) {
    throw new NotATable(
      'The rows have more columns than the header: decimal commas in a file parted by commas. Save it with semicolons or tabs.',
    );
  }
  if (table.length > MOST_ROWS) {
    throw new NotATable(`More than ${MOST_ROWS.toLocaleString('en-GB')} rows. Split the file, a year at a time.`);
  }
  return { table, headerLine: header + 1 };
}
