import fc from 'fast-check';
import { usePreferences } from './preferences';
import { useQueue, type Act } from './queue';

/** A server as far as a queue sees it: it may be away, lose its answer, refuse an act, or be unable to read one. */
class Server {
  isAway = false;
  losesAnswers = false;
  refused = new Set<string>();
  unreadable = new Set<string>();
  /** Takes nothing over at the moment. */
  not: { status: number; message: string } | undefined;
  /** Acts in the order in which they were written. */
  written: string[] = [];
  asked: number[] = [];
  hold: Promise<void> | undefined;

  fetch = async (_address: unknown, { body }: RequestInit = {}): Promise<Response> => {
    if (this.isAway) throw new TypeError('Failed to fetch');
    const { acts } = JSON.parse(String(body)) as { acts: { id: string }[] };
    this.asked.push(acts.length);
    if (this.not) return answer(this.not.status, { error: { message: this.not.message } });
    if (acts.some(({ id }) => this.unreadable.has(id))) return answer(422, { error: { message: 'No.', fields: [] } });
    const results = acts.map(({ id }) => {
      if (this.refused.has(id)) return { id, outcome: 'refused', message: 'It has left.' };
      if (this.written.includes(id)) return { id, outcome: 'known' };
      this.written.push(id);
      return { id, outcome: 'written' };
    });
    await this.hold;
    if (this.losesAnswers) throw new TypeError('Failed to fetch');
    return answer(200, { results });
  };
}

const answer = (status: number, body: unknown) =>
  ({ ok: status < 300, status, json: async () => body }) as unknown as Response;

const act = (id: string, personId: string | null = null): Act => ({
  ...{ id, residentId: 'r', kind: 'water' as const, text: `${id} done.` },
  entries: [{ id: `entry ${id}`, kind: 'watered', residentId: 'r' }],
  ...{ madeAt: '2026-03-14T18:00:00.000Z', heardOn: '2026-03-14', personId },
});

describe('what was done while the server was away', () => {
  let server: Server;
  const realFetch = global.fetch;
  beforeEach(() => {
    server = new Server();
    global.fetch = server.fetch as typeof fetch;
    localStorage.clear();
    useQueue.setState({ acts: [], conflicts: [], isSending: false, isFull: false });
  });
  afterAll(() => {
    global.fetch = realFetch;
  });
  const { add, send, drop, forget } = useQueue.getState();
  const left = () => useQueue.getState().acts.map(({ id }) => id);

  type Step = 'act' | 'send' | 'away' | 'back' | 'loses answers' | 'answers' | 'reload';
  it('is written in its order, each once, whatever the line does and however often the page is loaded', async () => {
    const step = fc.constantFrom<Step>('act', 'act', 'send', 'away', 'back', 'loses answers', 'answers', 'reload');
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        server = new Server();
        global.fetch = server.fetch as typeof fetch;
        useQueue.setState({ acts: [], conflicts: [] });
        const made: string[] = [];
        for (const each of steps) {
          if (each === 'act') {
            made.push(`act ${made.length}`);
            add(act(made.at(-1) as string));
          }
          if (each === 'send') await send();
          if (each === 'away' || each === 'back') server.isAway = each === 'away';
          if (each === 'loses answers' || each === 'answers') server.losesAnswers = each === 'loses answers';
          if (each === 'reload') {
            const stored = localStorage.getItem('verdant-burrow-queue');
            useQueue.setState({ acts: [], conflicts: [] });
            if (stored !== null) localStorage.setItem('verdant-burrow-queue', stored);
            await useQueue.persist.rehydrate();
          }
          expect(server.written).toEqual(made.slice(0, server.written.length));
        }
        server.isAway = server.losesAnswers = false;
        await send();
        expect(server.written).toEqual(made);
        expect(left()).toEqual([]);
        expect(useQueue.getState().conflicts).toEqual([]);
      }),
    );
  });

  it('keeps nobody behind one that is refused, or that cannot be read at all; both are told', async () => {
    const ids = Array.from({ length: 25 }, (_, index) => `act ${index}`);
    ids.forEach((id) => add(act(id)));
    server.refused.add('act 3');
    server.unreadable.add('act 11');
    expect(await send()).toBe(true);
    expect(server.written).toEqual(ids.filter((id) => id !== 'act 3' && id !== 'act 11'));
    expect(left()).toEqual([]);
    const { conflicts } = useQueue.getState();
    expect(conflicts.map(({ id, message }) => [id, message])).toEqual([
      ['act 3', 'It has left.'],
      ['act 11', 'No.'],
    ]);
    forget('act 3');
    expect(useQueue.getState().conflicts.map(({ id }) => id)).toEqual(['act 11']);
  });

  it('goes two hundred at a time', async () => {
    for (let index = 0; index < 450; index += 1) add(act(`act ${index}`));
    await send();
    expect(server.asked).toEqual([200, 200, 50]);
    expect(server.written).toHaveLength(450);
  });

  it('is taken back only where it was not sent: what is on its way is waited for', async () => {
    server.isAway = true;
    ['a', 'b'].forEach((id) => add(act(id)));
    expect(await drop('entry a')).toBe(true);
    expect(await drop('entry a')).toBe(false);
    server.isAway = false;
    let letGo = () => {};
    server.hold = new Promise((resolve) => (letGo = resolve));
    const sent = send();
    const dropped = drop('entry b');
    expect(await send()).toBe(false);
    letGo();
    expect(await sent).toBe(true);
    expect(await dropped).toBe(false);
    expect(server.written).toEqual(['b']);
  });

  it('says so when the browser has no room left, and goes on', async () => {
    const store = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('QuotaExceededError');
    });
    add(act('a'));
    await Promise.resolve();
    expect(useQueue.getState().isFull).toBe(true);
    store.mockRestore();
    add(act('b'));
    await Promise.resolve();
    expect(useQueue.getState().isFull).toBe(false);
    await send();
    expect(server.written).toEqual(['a', 'b']);
  });

  it.each([
    [401, 'Locked: unlock it first.'],
    [429, 'Too many questions.'],
    [507, 'The disk is full.'],
  ])('stays where it is while the house takes nothing over: %i', async (status, message) => {
    server.not = { status, message };
    ['a', 'b'].forEach((id) => add(act(id)));
    expect(await send()).toBe(false);
    expect(useQueue.getState()).toMatchObject({ why: message, conflicts: [] });
    server.not = undefined;
    await send();
    expect(server.written).toEqual(['a', 'b']);
    expect(useQueue.getState().why).toBeNull();
  });

  it('waits at a shared tablet for the one who did it', async () => {
    const isIn = (personId: string | null) => usePreferences.getState().set({ personId });
    add(act('of Ada', 'ada'));
    add(act('of Ben', 'ben'));
    add(act('before people signed in'));
    isIn('ben');
    await send();
    expect(server.written).toEqual(['of Ben', 'before people signed in']);
    expect(left()).toEqual(['of Ada']);
    isIn('ada');
    await send();
    expect(left()).toEqual([]);
    add(act('of Ben, who has left', 'ben'));
    await send();
    expect(left()).toEqual(['of Ben, who has left']);
    useQueue.getState().letGo(left());
    expect(left()).toEqual([]);
    expect(server.written).not.toContain('of Ben, who has left');
    isIn(null);
  });

  it('stays where it is while nobody answers', async () => {
    server.isAway = true;
    add(act('a'));
    expect(await send()).toBe(false);
    expect(left()).toEqual(['a']);
  });
});
