import { dayOfMoment } from '@/core/measure/day';
import { settableClock } from './clock';
import { onEmptyServer } from './testing/onEmptyServer';
import type { TestServer } from './testing/server';

/** The day of an instant by the clock of the house, whatever its zone, and the instant. */
const dayAnd = (instant: string) => [dayOfMoment(new Date(instant)), instant];

describe('a clock that is set', () => {
  it('begins where it is told, goes on with the time that passes, and is moved on by days and hours', () => {
    let passedMs = 5000;
    const clock = settableClock('2028-02-28T21:30:00.000Z', () => passedMs);
    expect([clock.today(), clock.now()]).toEqual(dayAnd('2028-02-28T21:30:00.000Z'));
    passedMs += 61_500;
    expect(clock.now()).toBe('2028-02-28T21:31:01.500Z');
    clock.moveOn({ days: 1 });
    expect([clock.today(), clock.now()]).toEqual(dayAnd('2028-02-29T21:31:01.500Z'));
    clock.moveOn({ hours: 3.5 });
    expect([clock.today(), clock.now()]).toEqual(dayAnd('2028-03-01T01:01:01.500Z'));
    clock.setTo('2026-03-14T18:00:00.000Z');
    passedMs += 1000;
    expect(clock.now()).toBe('2026-03-14T18:00:01.000Z');
  });
});

describe('a server that was not started for tests', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));

  it('does not know how to be set to another time or emptied', async () => {
    expect((await server.post('/api/test/clock', { days: 1 })).status).toBe(404);
    expect((await server.post('/api/test/house', { holds: 'nothing' })).status).toBe(404);
    expect((await server.get('/api/test/clock')).status).toBe(404);
  });
});
