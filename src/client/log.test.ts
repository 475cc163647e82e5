import type { Round } from '@/contract/round';
import { useHouse } from './house';
import { useLog } from './log';
import { usePreferences } from './preferences';
import { useQueue } from './queue';

interface Asked {
  path: string;
  body: { id?: string; entries?: { id: string; keeper?: string }[]; ids?: string[]; keeper?: string };
}

const reply = (status: number, body: unknown) =>
  ({ ok: status < 300, status, json: async () => body }) as unknown as Response;

const round = {
  on: '2026-03-14',
  stops: [
    { residentId: 'r', jobs: [{ kind: 'water' }, { kind: 'feed' }] },
    { residentId: 's', jobs: [{ kind: 'water' }] },
  ],
} as unknown as Round;

describe('what a keeper writes down', () => {
  const realFetch = global.fetch;
  const load = useHouse.getState().load;
  let asked: Asked[] = [];
  let answers: (asked: Asked) => Response | Error = () => reply(201, {});
  let loaded = 0;
  beforeEach(() => {
    asked = [];
    loaded = 0;
    answers = () => reply(201, {});
    global.fetch = (async (path: string, { body }: RequestInit) => {
      const one = { path, body: JSON.parse(String(body ?? '{}')) };
      asked.push(one);
      const answer = answers(one);
      if (answer instanceof Error) throw answer;
      return answer;
    }) as typeof fetch;
    useQueue.setState({ acts: [], conflicts: [] });
    useLog.setState({ notice: null, sending: [] });
    useHouse.setState({ round, load: async () => void (loaded += 1) });
    usePreferences.getState().set({ keeper: ' Imre Talsk ' });
  });
  afterAll(() => {
    global.fetch = realFetch;
    useHouse.setState({ load });
    usePreferences.getState().set({ keeper: '' });
  });

  it('is refused in the unit the keeper thinks in', async () => {
    const message = 'Must be at most the inside height, 300 mm; got 381 mm2 and 30.5 mm.';
    answers = () => reply(422, { error: { code: 'invalid', message, fields: [{ path: 'x', message }] } });
    usePreferences.getState().set({ lengthUnit: 'in' });
    expect(await useLog.getState().write({ kind: 'looked', residentId: 'r' }, '')).toBe(false);
    usePreferences.getState().set({ lengthUnit: 'mm' });
    expect(useLog.getState().notice?.text).toContain('the inside height, 11.8 in; got 381 mm2 and 1.2 in.');
  });
  const { write, writeMany, answer, putOff, undo } = useLog.getState();
  const jobs = () => useHouse.getState().round?.stops.map((stop) => stop.jobs) ?? [];
  const notice = () => useLog.getState().notice;
  const watered = { kind: 'watered' as const, residentId: 'r' };

  it('goes with whose phone it is, under a name of its own, and can be taken back', async () => {
    expect(await write({ kind: 'noted', residentId: 'r', note: 'x' }, 'Noted.')).toBe(true);
    expect(asked[0]).toMatchObject({ path: '/api/entries', body: { keeper: 'Imre Talsk', note: 'x' } });
    const id = asked[0]?.body.id;
    expect(notice()).toMatchObject({ text: 'Noted.', action: { title: 'Undo' } });
    await notice()?.action?.run();
    expect(asked[1]).toMatchObject({ path: '/api/entries/undo', body: { ids: [id] } });
    expect(notice()).toEqual({ text: 'Taken back.' });
    expect(loaded).toBe(2);
  });

  it('is refused in the words of the server, all of many or none', async () => {
    answers = () =>
      reply(422, { error: { message: 'Not written.', fields: [{ path: 'entries.1.on', message: 'Too early.' }] } });
    expect(await writeMany([watered, { ...watered, on: '2020-01-01' }], 'Watered.')).toBe(false);
    expect(await write(watered, 'Watered.')).toBe(false);
    expect(notice()).toEqual({ text: 'Not written. Too early.', isProblem: true });
    expect(loaded).toBe(0);
    answers = () => reply(500, undefined);
    await undo('e');
    expect(notice()).toEqual({ text: 'The server answered 500. Nothing was saved.', isProblem: true });
  });

  it('is a tick at once, of that job of that animal, and open again when it is refused', async () => {
    answers = () => {
      expect(jobs()[0]).toEqual([{ kind: 'water', doneBy: asked[0]?.body.entries?.[0]?.id }, { kind: 'feed' }]);
      expect(jobs()[1]).toEqual([{ kind: 'water' }]);
      expect(useLog.getState().sending).toHaveLength(1);
      return reply(409, { error: { message: 'It has left.', fields: [] } });
    };
    await answer('r', 'water', [watered], 'Watered.');
    expect(jobs()[0]).toEqual([{ kind: 'water' }, { kind: 'feed' }]);
    expect(notice()).toEqual({ text: 'It has left.', isProblem: true });
    expect(useLog.getState().sending).toEqual([]);
    expect(useQueue.getState().acts).toEqual([]);
  });

  it('says who was first where two log the same', async () => {
    answers = () => reply(200, { already: { keeper: 'Odalys Fenn' } });
    await answer('r', 'water', [watered], 'Watered.');
    expect(notice()?.text).toBe('Odalys Fenn had logged this already. It is written once.');
  });

  it('is kept while nobody answers, goes behind what was kept before, and arrives with it', async () => {
    answers = () => new TypeError('Failed to fetch');
    await answer('r', 'water', [watered], 'Watered.');
    expect(notice()?.text).toBe('Watered. Kept on this phone until the server answers.');
    await putOff('r', 'feed', '2026-03-16', 'no-time', 'Put off.');
    expect(notice()?.text).toBe('Put off. Kept on this phone.');
    expect(jobs()[0]).toMatchObject([{ doneBy: expect.any(String) }, { skipped: { until: '2026-03-16' } }]);
    expect(useQueue.getState().acts.map(({ kind, heardOn }) => [kind, heardOn])).toEqual([
      ['water', '2026-03-14'],
      ['feed', '2026-03-14'],
    ]);
    const replayed: string[][] = [];
    answers = ({ body }) => {
      const { acts } = body as unknown as { acts: { id: string; entries: { kind: string }[] }[] };
      replayed.push(acts.flatMap(({ entries }) => entries.map(({ kind }) => kind)));
      return reply(200, { results: acts.map(({ id }) => ({ id, outcome: 'written' })) });
    };
    await answer('s', 'water', [{ kind: 'watered', residentId: 's' }], 'Watered.');
    expect(replayed).toEqual([['watered', 'skipped', 'watered']]);
    expect(useQueue.getState().acts).toEqual([]);
    expect(loaded).toBe(1);
  });

  it('is taken back on the phone where it has not been sent, and by the server where it has', async () => {
    answers = () => new TypeError('Failed to fetch');
    await answer('r', 'water', [watered], 'Watered.');
    const before = asked.length;
    await notice()?.action?.run();
    expect(notice()).toEqual({ text: 'Taken back.' });
    expect(asked).toHaveLength(before);
    expect(jobs()[0]).toEqual([{ kind: 'water' }, { kind: 'feed' }]);
    expect(useQueue.getState().acts).toEqual([]);
  });
});
