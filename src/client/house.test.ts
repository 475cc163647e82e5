import { PAGE } from './api';
import { listen, useLine } from './events';
import { useHouse } from './house';
import { useQueue, type Act } from './queue';

const reply = (body: unknown) => ({ ok: true, status: 200, json: async () => body }) as unknown as Response;

/** The house by its addresses, as the server would tell it; null while it is away. */
type Told = Record<string, unknown> | null;

const resident = (id: string, legSpanMm: number) => ({ id, legSpanMm, schools: {} });
const told = (): Record<string, unknown> => ({
  '/api/shelves': { shelves: [{ id: 'shelf', name: 'A' }] },
  '/api/homes': { homes: [{ id: 'home', code: 'A1' }] },
  '/api/residents': { residents: [resident('r', 40), resident('s', 60)] },
  '/api/round': {
    on: '2026-03-14',
    stops: [
      { residentId: 'r', jobs: [{ kind: 'water' }, { kind: 'feed' }] },
      { residentId: 's', jobs: [{ kind: 'water' }] },
    ],
  },
  '/api/profiles': { profiles: [], own: ['mine'] },
  '/api/species': { species: [], hazards: { hazards: [], laws: [], kinds: [] } },
  '/api/larder': { feeders: [], foods: [] },
  '/api/house': { hemisphere: 'south' },
});

const kept: Act = {
  ...{ id: 'act', residentId: 'r', kind: 'water' as const, text: 'Watered.' },
  entries: [{ id: 'entry', kind: 'watered', residentId: 'r' }],
  ...{ personId: null, madeAt: '2026-03-14T18:00:00.000Z', heardOn: '2026-03-14' },
};

describe('the house as a page knows it', () => {
  const realFetch = global.fetch;
  let answers: Told;
  let asked: string[];
  beforeEach(() => {
    answers = told();
    asked = [];
    global.fetch = (async (path: string) => {
      asked.push(path);
      if (answers === null) throw new TypeError('Failed to fetch');
      return reply(answers[path]);
    }) as typeof fetch;
    useQueue.setState({ acts: [], conflicts: [] });
    useHouse.setState({ ...{ shelves: [], homes: [], residents: [], round: null, state: 'empty', problem: null } });
  });
  afterAll(() => {
    global.fetch = realFetch;
  });
  const { load, loadCare, standIn } = useHouse.getState();
  const jobsOf = (id: string) =>
    useHouse.getState().round?.stops.find(({ residentId }) => residentId === id)?.jobs ?? [];

  it('is told anew without redrawing what has not changed', async () => {
    await loadCare();
    const before = useHouse.getState();
    expect(before).toMatchObject({ state: 'ready', problem: null, hemisphere: 'south', ownProfiles: ['mine'] });
    answers = { ...told(), '/api/residents': { residents: [resident('r', 40), resident('s', 61)] } };
    await load();
    const after = useHouse.getState();
    expect(after.homes).toBe(before.homes);
    expect(after.residents[0]).toBe(before.residents[0]);
    expect(after.residents[1]).toMatchObject({ legSpanMm: 61 });
    expect(after.round?.stops[1]).toBe(before.round?.stops[1]);
  });

  it('is told what has changed alone, and draws nothing else anew', async () => {
    const first = { token: 't1', isWhole: true, on: '2026-03-14', homes: [], residents: [], stops: [], over: [] };
    answers = { ...told(), '/api/house/changes': { ...first, unworkable: [] } };
    await loadCare();
    const before = useHouse.getState();
    const stop = { residentId: 's', jobs: [{ kind: 'feed' }] };
    const changed = {
      ...first,
      token: 't2',
      isWhole: false,
      residents: [resident('s', 61)],
      stops: [stop],
      over: ['r'],
    };
    answers = { '/api/house/changes?since=t1': { ...changed, unworkable: [] } };
    asked = [];
    await load();
    expect(asked).toEqual(['/api/house/changes?since=t1']);
    const after = useHouse.getState();
    expect(after.homes).toBe(before.homes);
    expect(after.residents.map(({ legSpanMm }) => legSpanMm)).toEqual([40, 61]);
    expect(after.residents[0]).toBe(before.residents[0]);
    expect(after.round?.stops).toEqual([stop]);
    // What was ticked and never reached the server is open again, though nothing about it has changed there.
    useHouse.getState().markJob('s', 'feed', { doneBy: 'entry' });
    expect(jobsOf('s')).toEqual([{ kind: 'feed', doneBy: 'entry' }]);
    const same = { ...changed, token: 't2', residents: [], stops: [], over: [], unworkable: [] };
    answers = { '/api/house/changes?since=t2': same };
    await load();
    expect(jobsOf('s')).toEqual([{ kind: 'feed' }]);
    // Told that a list has another order, it asks for all of them.
    answers = { ...told(), '/api/house/changes?since=t2': { ...first, token: 't3', unworkable: [] } };
    await load();
    expect(asked).toContain('/api/residents');
    expect(jobsOf('r')).toHaveLength(2);
  });

  it('stays as it was last told while nobody answers, and says so', async () => {
    await loadCare();
    const { residents } = useHouse.getState();
    answers = null;
    await load();
    expect(useHouse.getState()).toMatchObject({ state: 'ready', problem: expect.stringContaining('does not answer') });
    expect(useHouse.getState().residents).toBe(residents);
    await standIn('north');
    expect(useHouse.getState().hemisphere).toBe('south');
    answers = told();
    await load();
    expect(useHouse.getState().problem).toBeNull();
  });

  it('shows what this phone has kept as done, also when the server tells the round anew', async () => {
    useQueue.getState().add(kept);
    await loadCare();
    expect(jobsOf('r')).toEqual([{ kind: 'water', doneBy: 'entry' }, { kind: 'feed' }]);
    expect(jobsOf('s')).toEqual([{ kind: 'water' }]);
    await useQueue.getState().drop('entry');
    await load();
    expect(jobsOf('r')).toEqual([{ kind: 'water' }, { kind: 'feed' }]);
  });

  describe('hears of others', () => {
    /** The line that a page listens on. */
    class Line {
      static last: Line;
      readonly hears = new Map<string, (event: unknown) => void>();
      isClosed = false;
      constructor(readonly address: string) {
        Line.last = this;
      }
      addEventListener(name: string, heard: (event: unknown) => void) {
        this.hears.set(name, heard);
      }
      say(name: string, data?: object) {
        this.hears.get(name)?.({ data: JSON.stringify(data) });
      }
      close() {
        this.isClosed = true;
      }
    }
    let stop = () => {};
    const rounds = () => asked.filter((path) => path === '/api/round').length;
    const soon = () => new Promise((resolve) => setTimeout(resolve, 220));
    beforeEach(async () => {
      Object.assign(global, { EventSource: Line });
      await loadCare();
      asked = [];
      stop = listen();
    });
    afterEach(() => {
      stop();
      Object.assign(global, { EventSource: undefined });
    });

    it('and fetches once for several, never for what it wrote itself', async () => {
      Line.last.say('written', { by: PAGE });
      await soon();
      expect(rounds()).toBe(0);
      for (let times = 0; times < 4; times += 1) Line.last.say('written', { by: 'another' });
      await soon();
      expect(rounds()).toBe(1);
    });

    it('knows that the server is away, and sends what it kept when it is back', async () => {
      Line.last.say('error');
      expect(useLine.getState().isAway).toBe(true);
      useQueue.getState().add(kept);
      (answers as Record<string, unknown>)['/api/entries/replay'] = { results: [{ id: 'act', outcome: 'written' }] };
      Line.last.say('open');
      expect(useLine.getState().isAway).toBe(false);
      await soon();
      expect(useQueue.getState().acts).toEqual([]);
      expect(rounds()).toBe(1);
    });

    it('no more once it has stopped', async () => {
      Line.last.say('written', { by: 'another' });
      stop();
      await soon();
      expect([Line.last.isClosed, rounds()]).toEqual([true, 0]);
    });
  });
});
