import fc from 'fast-check';
import { addDays, daysBetween, isDay } from './day';

const days = fc.integer({ min: -20_000, max: 40_000 });
/** The same reckoned in UTC milliseconds, where no clock is ever put forward. */
const utcDay = (n: number) => new Date(n * 86_400_000).toISOString().slice(0, 10);

describe('calendar days', () => {
  it.each(['2024-02-29', '2026-11-24', '1999-12-31'])('%s is a day', (text) => expect(isDay(text)).toBe(true));

  it.each(['2023-02-29', '2026-13-01', '2026-1-1', '24.11.2026', 'today', '', '2026-11-24T00:00'])(
    '%p is not',
    (text) => expect(isDay(text)).toBe(false),
  );

  it('agrees with plain counting, whatever the clocks do in this time zone', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: -800, max: 800 }), (start, step) => {
        expect(addDays(utcDay(start), step)).toBe(utcDay(start + step));
        expect(daysBetween(utcDay(start), utcDay(start + step))).toBe(step);
      }),
    );
  });
});
