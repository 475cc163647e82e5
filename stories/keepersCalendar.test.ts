import { emptyHouse, type House } from './house';

/**
 * A keeper brings in the calendar of a telephone: shifts that began years ago, a holiday, and once an event that a program made
 * badly and that can never be. Days without time are known, and the house goes on answering whatever the file holds.
 */
describe('the calendar of a keeper', () => {
  let house: House;
  let keeper: { id: string };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    ({ keeper } = house.granted(await house.post('/api/keepers', { name: 'Wren', zone: 'Europe/London' }), 201));
  });
  const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:1', ...lines, 'END:VEVENT'];
  const bring = (...events: string[][]) =>
    house.put(`/api/keepers/${keeper.id}/busy`, {
      calendar: ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...events.flat(), 'END:VCALENDAR', ''].join('\r\n'),
      hours: 8,
    });
  const busyDays = async (...events: string[][]): Promise<string[]> =>
    house.granted(await bring(...events)).keeper.busyDays;
  const DAILY = event('DTSTART:20100104T080000', 'DTEND:20100104T180000', 'RRULE:FREQ=DAILY', 'SUMMARY:Shift');

  it('that has taken every day since 2010 takes every day', async () => {
    const days = await busyDays(DAILY);
    expect(days.slice(0, 3)).toEqual(['2026-03-14', '2026-03-15', '2026-03-16']);
    expect(days.length).toBeGreaterThan(300);
  });

  it('keeps the week of an event that comes every other week, and what was taken out of it', async () => {
    // Monday 4 January 2010, every second Monday; 23 March 2026 is called off.
    const days = await busyDays(
      event(
        ...['DTSTART;VALUE=DATE:20100104', 'DTEND;VALUE=DATE:20100105', 'RRULE:FREQ=WEEKLY;INTERVAL=2'],
        'EXDATE;VALUE=DATE:20260406',
      ),
    );
    const weeks = (Date.parse(days[0] ?? '') - Date.parse('2010-01-04')) / (14 * 864e5);
    expect(Number.isInteger(weeks)).toBe(true);
    expect(days.slice(0, 2)).toEqual(['2026-03-23', '2026-04-20']);
  });

  it('knows a birthday since 1979, and the last Friday of each month', async () => {
    const yearly = event('DTSTART;VALUE=DATE:19790401', 'DTEND;VALUE=DATE:19790402', 'RRULE:FREQ=YEARLY');
    const monthly = event('DTSTART;VALUE=DATE:20150130', 'DTEND;VALUE=DATE:20150131', 'RRULE:FREQ=MONTHLY;BYDAY=-1FR');
    expect((await busyDays(yearly, monthly)).slice(0, 3)).toEqual(['2026-03-27', '2026-04-01', '2026-04-24']);
  });

  it('with a day that never comes is refused by its name, and the house has gone on answering', async () => {
    const before = house.granted(await house.get('/api/keepers')).keepers[0].busyDays;
    const never = event(
      ...['DTSTART:20260101T080000', 'DTEND:20260101T180000', 'SUMMARY:Thirtieth of February'],
      'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30',
    );
    const answer = bring(DAILY, never);
    const waits: number[] = [];
    for (let ask = 0; ask < 10; ask += 1) {
      const asked = Date.now();
      house.granted(await house.get('/api/health'));
      waits.push(Date.now() - asked);
    }
    expect(Math.max(...waits)).toBeLessThan(2000);
    const { status, body } = await answer;
    expect([status, body.error.fields[0].path]).toEqual([422, 'calendar']);
    expect(body.error.fields[0].message).toContain('Thirtieth of February');
    expect(house.granted(await house.get('/api/keepers')).keepers[0].busyDays).toEqual(before);
  });
});
