import { isZone, localTimeToInstant } from '@/core/measure/zone';
import { guessMapping, instantOf, loggerNumber, readLoggerTable, type ColumnMapping } from './loggerTable';

const mapping: ColumnMapping = {
  timeColumn: 0,
  temperatureColumn: 1,
  humidityColumn: 2,
  temperatureUnit: 'C',
  dateOrder: 'ymd',
  zone: 'UTC',
};
const HEADER = ['Time', 'Temperature (C)', 'Humidity (%)'];
const minutes = (index: number) => `2026-03-14 ${String(Math.floor(index / 6)).padStart(2, '0')}:${index % 6}0`;
const rows = (count: number) =>
  Array.from({ length: count }, (_, index) => [minutes(index), `${22 + (index % 3) / 10}`, `${70 + (index % 4)}`]);
const read = (body: string[][], change: Partial<ColumnMapping> = {}) =>
  readLoggerTable([HEADER, ...body], { ...mapping, ...change });

describe('numbers as loggers write them', () => {
  it.each([
    ['21.5', 21.5],
    ['21,5', 21.5],
    ['1.021,5', 1021.5],
    ['1,021.5', 1021.5],
    ['-3.2 °C', -3.2],
    ['65 %RH', 65],
    ['72.5F', 72.5],
    ['', NaN],
    ['ERR', NaN],
    ['1.2.3', NaN],
  ])('%p is %d', (text, value) => expect(loggerNumber(text)).toBe(value));
});

describe('clocks', () => {
  it.each([
    ['2026-03-14 19:30:05', 'ymd', 'UTC', '2026-03-14T19:30:05Z'],
    ['14.03.2026 19:30', 'dmy', 'Europe/Berlin', '2026-03-14T18:30:00Z'],
    ['03/14/26 07:30 PM', 'mdy', 'America/New_York', '2026-03-14T23:30:00Z'],
    ['2026-03-14T19:30:00+05:30', 'ymd', 'UTC', '2026-03-14T14:00:00Z'],
    ['2026-07-01 12:00', 'ymd', 'Asia/Kathmandu', '2026-07-01T06:15:00Z'],
  ] as const)('%p of %s in %s', (text, order, zone, utc) => {
    expect(instantOf(text, order, zone)).toBe(Date.parse(utc));
  });
  it('that are put back show an hour twice: the first is meant; put forward, they leave one out', () => {
    // Europe/Berlin: 25 October 2026 at 3:00 back to 2:00; 29 March 2026 at 2:00 on to 3:00 (EU rules).
    expect(instantOf('2026-10-25 02:30', 'ymd', 'Europe/Berlin')).toBe(Date.parse('2026-10-25T00:30:00Z'));
    expect(instantOf('2026-10-25 03:30', 'ymd', 'Europe/Berlin')).toBe(Date.parse('2026-10-25T02:30:00Z'));
    expect(instantOf('2026-03-29 02:30', 'ymd', 'Europe/Berlin')).toBe(Date.parse('2026-03-29T01:30:00Z'));
  });
  it('do not know a day that does not exist, nor a zone', () => {
    expect(instantOf('2026-02-30 10:00', 'ymd', 'UTC')).toBeNaN();
    expect(instantOf('yesterday', 'ymd', 'UTC')).toBeNaN();
    expect(isZone('Europe/Nowhere')).toBe(false);
    expect(localTimeToInstant({ year: 2024, month: 2, day: 29, hour: 0, minute: 0, second: 0 }, 'UTC')).toBe(
      Date.UTC(2024, 1, 29),
    );
  });
});

describe('the mapping of the columns', () => {
  it('is guessed from the header and the first rows', () => {
    expect(guessMapping([HEADER, ...rows(3)], 'UTC')).toEqual(mapping);
    const german = [
      ['Datum', 'Uhrzeit', 'Temp.(°F)', 'rel. Feuchte'],
      ['31.12.2026', '10:00', '70,1', '55'],
    ];
    expect(guessMapping(german, 'Europe/Berlin')).toEqual({
      timeColumn: 0,
      secondTimeColumn: 1,
      temperatureColumn: 2,
      humidityColumn: 3,
      temperatureUnit: 'F',
      dateOrder: 'dmy',
      zone: 'Europe/Berlin',
    });
    expect(guessMapping([['a', 'b']], 'UTC').timeColumn).toBeUndefined();
  });
});

describe('a logger’s file', () => {
  it('is read row by row', () => {
    const table = read(rows(20));
    expect(table).toMatchObject({ problems: [], refused: 0, duplicates: 0, clockJumps: 0, spikes: 0, gaps: 0 });
    expect(table.readings[1]).toEqual({
      at: Date.UTC(2026, 2, 14, 0, 10),
      temperatureC: 22.1,
      relativeHumidityPct: 71,
      mark: null,
    });
  });
  it('in Fahrenheit with decimal commas is the same in Celsius', () => {
    const [first] = read([['2026-03-14 00:00', '71,6', '70,5']], { temperatureUnit: 'F' }).readings;
    expect(first?.temperatureC).toBeCloseTo(22, 9);
    expect(first?.relativeHumidityPct).toBe(70.5);
  });
  it('names the line and the column of what is wrong, and keeps the rest', () => {
    const body = rows(10);
    body[2] = ['no idea', '22', '70'];
    body[4] = [minutes(4), 'ERR', '70'];
    body[6] = [minutes(6), '22', '170'];
    body[8] = [minutes(8), '72', '70'];
    const table = read(body);
    expect(table.readings).toHaveLength(6);
    expect(table.refused).toBe(4);
    expect(table.problems.map(({ line, column }) => [line, column])).toEqual([
      [4, 'Time'],
      [6, 'Temperature (C)'],
      [8, 'Humidity (%)'],
      [10, 'Temperature (C)'],
    ]);
    expect(table.problems[2]?.message).toBe('Must be from 0 to 100 %; got 170.');
  });
  it('keeps same instants once, marks spikes and clocks that run backwards, counts gaps', () => {
    const body = rows(40);
    const twice = read([...body.slice(0, 20), ...body.slice(18)]);
    expect(twice.duplicates).toBe(2);
    expect(twice.readings).toHaveLength(40);
    body[20] = [minutes(20), '22', '20'];
    expect(read(body)).toMatchObject({ spikes: 1 });
    expect(read([...body.slice(0, 10), ...body.slice(25)])).toMatchObject({ gaps: 1 });
    const jumped = read([...body.slice(10), ...body.slice(0, 10)]);
    expect(jumped.clockJumps).toBe(10);
    expect(jumped.readings.filter((each) => each.mark === 'clock')).toHaveLength(10);
    expect(jumped.readings.map((each) => each.at)).toEqual([...jumped.readings.map((each) => each.at)].sort());
  });
  it('passes over what a sensor did not say, and empty lines', () => {
    const table = read([
      ['2026-03-14 00:00', '--', '70'],
      ['', '', ''],
      ['2026-03-14 00:10', 'n/a', ''],
    ]);
    expect(table.readings).toEqual([
      { at: Date.UTC(2026, 2, 14), temperatureC: undefined, relativeHumidityPct: 70, mark: null },
    ]);
    expect(table.refused).toBe(1);
  });
});
