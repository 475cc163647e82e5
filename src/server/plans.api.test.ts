import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import { decodePDFRawStream, PDFDict, PDFDocument, PDFName, PDFRawStream } from 'pdf-lib';
import { addDays } from '@/core/measure/day';
import { busyDaysOf } from './calendar/busy';
import { calendarFile } from './calendar/write';
import { timesOf } from './replay';
import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);
const vents = (['left', 'right'] as const).map((side) => ({ side, shape: 'hole', count: 6, diameterMm: 3 }));
const box = (lengthMm: number, widthMm: number, heightMm: number) => ({
  shape: 'box',
  lengthMm,
  widthMm,
  heightMm,
  lid: 'solid',
  vents,
});

/** How each font that is laid into a PDF begins: a TrueType file with `true` or 00010000, and not with `wOFF`. */
async function fontKinds(pdf: ArrayBuffer): Promise<string[]> {
  const { context } = await PDFDocument.load(pdf);
  return context.enumerateIndirectObjects().flatMap(([, each]) => {
    const file = each instanceof PDFDict ? context.lookup(each.get(PDFName.of('FontFile2'))) : undefined;
    if (!(file instanceof PDFRawStream)) return [];
    return [Buffer.from(decodePDFRawStream(file).decode()).subarray(0, 4).toString('hex')];
  });
}

describe('the plans of a house', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let spiderId = '';
  let homes: Record<string, string> = {};
  beforeAll(async () => {
    const { body } = await server.post('/api/shelves', { room: 'R', name: 'S' });
    const home = async (code: string, container: object, more: object = {}) =>
      (await server.post('/api/homes', { code, shelfId: body.shelf.id, container, substrateDepthMm: 40, ...more })).body
        .home.id;
    homes = {
      small: await home('A1', box(90, 60, 70)),
      middle: await home('A2', box(170, 130, 100)),
      apart: await home('A3', box(170, 130, 100), { quarantineSince: TODAY }),
    };
    const spider = {
      scientificName: 'Tliltocatl albopilosus',
      profile: 'ground-tarantula',
      stage: 'juvenile',
      legSpanMm: 58,
    };
    spiderId = (await server.post('/api/residents', { ...spider, homeId: homes.small, on: '2026-01-10' })).body.resident
      .id;
  }, 60_000);

  const write = (body: object) => server.post('/api/entries', { residentId: spiderId, ...body });
  const jobs = async (on = TODAY) =>
    (await server.get(`/api/round?on=${on}`)).body.stops.flatMap((stop: { jobs: unknown[] }) => stop.jobs);
  const job = async (kind: string, on?: string) =>
    (await jobs(on)).find((each: { kind: string }) => each.kind === kind);

  it('a job put off is shown with its reason that day, not asked for before its day, and asked again then', async () => {
    const skip = await write({ kind: 'skipped', job: 'water', until: addDays(TODAY, 2), why: 'no-time' });
    expect(skip.status).toBe(201);
    expect((await job('water')).skipped).toMatchObject({ until: addDays(TODAY, 2), why: 'no-time' });
    expect(await job('water', addDays(TODAY, 1))).toBeUndefined();
    expect((await job('water', addDays(TODAY, 2))).skipped).toBeUndefined();
    await server.post(`/api/entries/${skip.body.entry.id}/undo`, {});
    expect((await job('water')).skipped).toBeUndefined();
    expect(fields(await write({ kind: 'skipped', job: 'water', until: TODAY, why: 'no-time' }))).toEqual(['until']);
    expect(fields(await write({ kind: 'skipped', job: 'dance', until: addDays(TODAY, 2), why: 'no-time' }))).toEqual([
      'job',
    ]);
  });

  it('the chain finds the box, the move is settled, asked for on its day, and over when it is made', async () => {
    const plan = await server.post('/api/moves/plan', { days: 30 });
    expect(plan.body).toMatchObject({ by: 'exact', unplaced: [] });
    const [move] = plan.body.moves;
    // The box that is kept apart is nobody's choice.
    expect(move).toMatchObject({
      resident: spiderId,
      from: homes.small,
      to: homes.middle,
      need: 'fails',
      waitsFor: null,
    });
    const planned = {
      kind: 'move-planned',
      toHomeId: move.to,
      moveOn: TODAY,
      from: move.window.from,
      until: move.window.until,
    };
    expect((await write(planned)).status).toBe(201);
    // Its box fails: the move that is settled cannot wait either, and no other is asked for beside it.
    expect(await job('move')).toMatchObject({ move: { toCode: 'A2' }, cannotWait: true });
    expect(await job('rehouse')).toBeUndefined();
    expect((await server.get('/api/seasons')).body.marks).toContainEqual(
      expect.objectContaining({ kind: 'move', residentId: spiderId, median: TODAY }),
    );
    expect((await server.get(`/api/residents/${spiderId}/handling`)).body).toMatchObject({
      tools: expect.arrayContaining(['gloves']),
      move: { toHomeId: homes.middle },
    });
    await write({ kind: 'moved', homeId: homes.middle });
    expect((await job('move')).doneBy).toBeTruthy();
    expect(await job('move', addDays(TODAY, 1))).toBeUndefined();
    expect(await job('label', addDays(TODAY, 1))).toBeDefined();
    expect(fields(await write({ ...planned, toHomeId: homes.small, moveOn: addDays(TODAY, -1) }))).toEqual(['moveOn']);
    expect(fields(await write({ ...planned, toHomeId: homes.small, from: addDays(TODAY, 3) }))).toEqual(['from']);
  });

  it('the engines answer over HTTP, and name the field that is wrong', async () => {
    const spider = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 58 };
    const tubs = [
      { id: 't1', code: 't1', container: box(90, 60, 70), substrateDepthMm: 40 },
      { id: 't2', code: 't2', container: box(170, 130, 100), substrateDepthMm: 40 },
    ];
    const chain = await server.post('/api/compute/chain', {
      residents: [{ id: 'a', from: 't1', ...spider }],
      tubs,
      days: 10,
      perDay: 1,
    });
    expect(chain.body).toMatchObject({ moves: [{ resident: 'a', from: 't1', to: 't2', on: TODAY }], unplaced: [] });
    const none = await server.post('/api/compute/chain', {
      residents: [{ id: 'a', ...spider }],
      tubs: [],
      days: 10,
      perDay: 1,
    });
    expect(none.body).toMatchObject({
      moves: [],
      unplaced: ['a'],
      unplacedWhy: [{ resident: 'a', need: 'homeless', why: 'no-tub' }],
    });
    const lost = await server.post('/api/compute/chain', {
      residents: [{ id: 'a', from: 'nowhere', ...spider }],
      tubs,
      days: 10,
      perDay: 1,
    });
    expect(fields(lost)).toEqual(['residents.0.from']);
    const home = { container: box(170, 130, 100), substrateDepthMm: 40 };
    const resident = { id: 'a', ...spider, form: 'single', home, log: [{ kind: 'taken-in', on: '2026-01-10' }] };
    const ahead = await server.post('/api/compute/work-ahead', {
      from: TODAY,
      days: 30,
      residents: [resident],
      busyDays: [addDays(TODAY, 1)],
    });
    expect(ahead.body.days).toHaveLength(30);
    expect(ahead.body.days[1]).toMatchObject({ isBusy: true });
    expect(ahead.body.jobs.some((each: { kind: string }) => each.kind === 'feed')).toBe(true);
    expect(
      fields(await server.post('/api/compute/work-ahead', { from: TODAY, days: 0, residents: [resident] })),
    ).toEqual(['days']);
    const due = await server.post('/api/compute/due', { on: TODAY, resident });
    expect(due.body.jobs.map((each: { kind: string }) => each.kind)).toContain('water');
    const away = { today: TODAY, from: addDays(TODAY, 2), until: addDays(TODAY, 30), residents: [resident] };
    expect((await server.post('/api/compute/absence', away)).body).toMatchObject({ days: 29 });
    expect(fields(await server.post('/api/compute/absence', { ...away, from: '2020-01-01' }))).toEqual(['from']);
    expect(fields(await server.post('/api/compute/absence', { ...away, until: TODAY }))).toEqual(['until']);
  });

  it('what was kept while the server was away is written in order, once, however often it is sent', async () => {
    const act = (madeAt: string, entry: object) => ({
      ...{ id: randomUUID(), madeAt, heardOn: TODAY },
      entries: [{ residentId: spiderId, id: randomUUID(), ...entry }],
    });
    const acts = [
      act(`${TODAY}T18:00:00.000Z`, { kind: 'watered' }),
      act(`${TODAY}T18:01:00.000Z`, { kind: 'noted', note: 'kept on the phone' }),
      act(`${TODAY}T18:02:00.000Z`, { kind: 'moved', homeId: randomUUID() }),
      act(`${TODAY}T18:03:00.000Z`, { kind: 'cleaned' }),
    ];
    const send = () => server.post('/api/entries/replay', { sentAt: `${TODAY}T18:30:00.000Z`, acts });
    const outcomes = ({ body }: Answer) => body.results.map((each: { outcome: string }) => each.outcome);
    const first = await send();
    expect(outcomes(first)).toEqual(['written', 'written', 'refused', 'written']);
    expect(first.body.results[2].message).toContain('There is no home with that id');
    const history = async () =>
      (await server.get(`/api/residents/${spiderId}/entries`)).body.entries.map((each: { id: string }) => each.id);
    const before = await history();
    expect(outcomes(await send())).toEqual(['known', 'known', 'refused', 'known']);
    expect(await history()).toEqual(before);
    const tooMany = Array.from({ length: 201 }, () => acts[0]);
    expect(
      fields(await server.post('/api/entries/replay', { sentAt: `${TODAY}T18:30:00.000Z`, acts: tooMany })),
    ).toEqual(['acts']);
  });

  it('an act that is refused leaves nobody as it would have made them; one that stands holds for those behind it', async () => {
    const taken = {
      scientificName: 'Tliltocatl albopilosus',
      profile: 'ground-tarantula',
      stage: 'adult',
      legSpanMm: 90,
    };
    const { resident } = (await server.post('/api/residents', { ...taken, homeId: homes.apart, on: TODAY })).body;
    const act = (...entries: object[]) => ({
      ...{ id: randomUUID(), madeAt: `${TODAY}T18:00:00.000Z`, heardOn: TODAY },
      entries: entries.map((entry) => ({ residentId: resident.id, id: randomUUID(), ...entry })),
    });
    const acts = [
      act({ kind: 'watered' }),
      act({ kind: 'passed-on' }, { kind: 'moved', homeId: randomUUID() }),
      act({ kind: 'cleaned' }),
      act({ kind: 'passed-on' }),
      act({ kind: 'cleaned' }),
    ];
    const { body } = await server.post('/api/entries/replay', { sentAt: `${TODAY}T18:30:00.000Z`, acts });
    expect(body.results.map((each: { outcome: string }) => each.outcome)).toEqual([
      ...['written', 'refused', 'written', 'written', 'refused'],
    ]);
    expect(body.results[4].message).toContain('left on');
  });

  it('the same tick from two phones is written once, and both are told', async () => {
    const answers = `clean ${TODAY} twice`;
    const first = await write({ kind: 'turned', answers, keeper: 'Imre Talsk' });
    const act = {
      id: randomUUID(),
      madeAt: `${TODAY}T18:00:00.000Z`,
      heardOn: TODAY,
      entries: [{ kind: 'turned', residentId: spiderId, id: randomUUID(), answers, keeper: 'Odalys Fenn' }],
    };
    const second = await server.post('/api/entries/replay', { sentAt: `${TODAY}T18:30:00.000Z`, acts: [act] });
    expect(second.body.results).toEqual([{ id: act.id, outcome: 'already', keeper: 'Imre Talsk' }]);
    const { entries } = (await server.get(`/api/residents/${spiderId}/entries`)).body;
    expect(entries.find((each: { id: string }) => each.id === first.body.entry.id).data.alsoBy).toBe('Odalys Fenn');
  });

  it('a page hears what another writes, and not what it wrote itself', async () => {
    const address = server.address;
    const listener = new AbortController();
    const stream = await fetch(`${address}/api/events`, { signal: listener.signal });
    const reader = (stream.body as ReadableStream<Uint8Array>).getReader();
    await reader.read();
    await write({ kind: 'looked' });
    let text = '';
    while (!text.includes('event: written')) text += new TextDecoder().decode((await reader.read()).value);
    expect(text).toContain('data: {"by":""}');
    listener.abort();
  });

  describe('keepers', () => {
    let keeperId = '';
    beforeAll(async () => {
      const { body } = await server.post('/api/keepers', { name: 'Odalys Fenn', zone: 'Europe/London' });
      keeperId = body.keeper.id;
    });
    const calendar = async (path: string) => {
      const response = await fetch(`${server.address}${path}`);
      return { status: response.status, text: await response.text() };
    };

    it('subscribe by a secret address that can be renewed and shut; the file is read back by another library', async () => {
      const first = (await server.post(`/api/keepers/${keeperId}/calendar`, {})).body.path;
      const file = await calendar(first);
      const events = new ICAL.Component(ICAL.parse(file.text))
        .getAllSubcomponents('vevent')
        .map((each) => new ICAL.Event(each));
      expect(events.length).toBeGreaterThan(5);
      expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
      expect(events.every(({ startDate, endDate }) => startDate.compare(endDate) < 0)).toBe(true);
      const second = (await server.post(`/api/keepers/${keeperId}/calendar`, {})).body.path;
      expect((await calendar(first)).status).toBe(404);
      expect((await calendar(second)).status).toBe(200);
      await server.remove(`/api/keepers/${keeperId}/calendar`);
      expect((await calendar(second)).status).toBe(404);
      expect((await calendar(`/api/keepers/${keeperId}/calendar.ics`)).status).toBe(200);
    });

    it('have days without time, of their own calendar; a name that is taken, a zone that is none are refused', async () => {
      const text = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20260320\r\nDTEND;VALUE=DATE:20260323\r\nSUMMARY:fair\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`;
      const read = await server.put(`/api/keepers/${keeperId}/busy`, { calendar: text });
      expect(read.body.keeper.busyDays).toEqual(['2026-03-20', '2026-03-21', '2026-03-22']);
      expect((await server.get('/api/seasons')).body.busyDays).toEqual(['2026-03-20', '2026-03-21', '2026-03-22']);
      expect(fields(await server.put(`/api/keepers/${keeperId}/busy`, { calendar: 'no calendar' }))).toEqual([
        'calendar',
      ]);
      expect(fields(await server.post('/api/keepers', { name: 'odalys fenn', zone: 'Europe/London' }))).toEqual([
        'name',
      ]);
      expect(fields(await server.post('/api/keepers', { name: 'X', zone: 'Europe/Saltmere' }))).toEqual(['zone']);
      expect(fields(await server.patch(`/api/keepers/${keeperId}`, { walkAt: '25:00' }))).toEqual(['walkAt']);
      expect(fields(await server.patch(`/api/keepers/${keeperId}`, { roomIds: [randomUUID()] }))).toEqual([
        'roomIds.0',
      ]);
    });
  });

  it('an absence has a sheet, on paper too, and a page that only its address opens', async () => {
    const planned = {
      from: addDays(TODAY, 3),
      until: addDays(TODAY, 30),
      sitter: 'the neighbour',
      call: '01632 960 000',
    };
    const { body } = await server.post('/api/absences', planned);
    const sheet = (await server.get(`/api/absences/${body.absence.id}/sheet`)).body;
    expect(sheet).toMatchObject({ sitter: 'the neighbour', call: '01632 960 000' });
    const pdf = await fetch(`${server.address}/api/absences/${body.absence.id}/sheet.pdf`);
    expect(await fontKinds(await pdf.arrayBuffer())).toEqual(['74727565', '74727565', '74727565']);
    const { path } = (await server.post(`/api/absences/${body.absence.id}/page`, {})).body;
    expect((await server.get(`/api${path}`)).body).toEqual(sheet);
    expect((await server.get(`/api/sitter/${'x'.repeat(32)}`)).status).toBe(404);
    await server.remove(`/api/absences/${body.absence.id}`);
    expect((await server.get(`/api${path}`)).status).toBe(404);
    expect(fields(await server.post('/api/absences', { ...planned, from: '2020-01-01' }))).toEqual(['from']);
    expect(fields(await server.post('/api/absences', { ...planned, until: '2026-03-01' }))).toEqual(['until']);
    expect(fields(await server.post('/api/absences', { ...planned, until: addDays(TODAY, 300) }))).toEqual(['until']);
  });
});

describe('a calendar across a change of the clocks', () => {
  // In 2026 the clocks of London go forward on 29 March, at one in the morning (from memory).
  const walk = (on: string) => ({
    ...{
      uid: `walk-${on}`,
      title: 'Round: 12 jobs, 30 min; with a comma, a ; and a \\',
      text: 'first line\nsecond line',
    },
    when: { kind: 'time' as const, on, at: '19:00', zone: 'Europe/London', minutes: 30 },
  });
  const stay = {
    uid: 'stay',
    title: 'Away',
    text: '',
    when: { kind: 'days' as const, from: '2026-03-27', until: '2026-03-30' },
  };
  const file = calendarFile('Imre', [walk('2026-03-28'), walk('2026-03-29'), stay], '2026-03-14T12:00:00.000Z');
  const [before, after, away] = new ICAL.Component(ICAL.parse(file))
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));

  it('keeps the walk at seven by the clock on the wall', () => {
    expect(before?.startDate.toJSDate().toISOString()).toBe('2026-03-28T19:00:00.000Z');
    expect(after?.startDate.toJSDate().toISOString()).toBe('2026-03-29T18:00:00.000Z');
    expect(after?.duration.toSeconds()).toBe(1800);
    expect(before?.summary).toBe(walk('2026-03-28').title);
    expect(before?.description).toBe('first line\nsecond line');
  });

  it('holds whole days as whole days, their last included, in lines of at most 75 octets', () => {
    expect(away?.startDate.isDate).toBe(true);
    expect(away?.endDate.toString()).toBe('2026-03-31');
    expect(file.split('\r\n').every((each) => Buffer.byteLength(each) <= 75)).toBe(true);
  });

  it('reads days without time out of another: repeats, zones, what is free and what was called off', async () => {
    const event = (lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
    const text = [
      ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x'],
      // Every Tuesday, nine hours by the clock on the wall; on 31 March the clocks have changed.
      ...event(['UID:1', 'DTSTART:20260317T090000', 'DTEND:20260317T180000', 'RRULE:FREQ=WEEKLY;COUNT=3']),
      ...event(['UID:2', 'DTSTART;VALUE=DATE:20260319', 'DTEND;VALUE=DATE:20260320', 'TRANSP:TRANSPARENT']),
      ...event(['UID:3', 'DTSTART;VALUE=DATE:20260320', 'DTEND;VALUE=DATE:20260321', 'STATUS:CANCELLED']),
      // Two of four hours each are eight; an hour that both take counts once.
      ...event(['UID:4', 'DTSTART:20260326T080000Z', 'DTEND:20260326T120000Z']),
      ...event(['UID:5', 'DTSTART:20260326T120000Z', 'DTEND:20260326T160000Z']),
      ...event(['UID:6', 'DTSTART:20260327T080000Z', 'DTEND:20260327T130000Z']),
      ...event(['UID:7', 'DTSTART:20260327T110000Z', 'DTEND:20260327T150000Z']),
      'END:VCALENDAR',
    ].join('\r\n');
    expect(await busyDaysOf(text, 'Europe/London', TODAY, 60, 8)).toEqual([
      '2026-03-17',
      '2026-03-24',
      '2026-03-26',
      '2026-03-31',
    ]);
  });
});

describe('the clock of a phone', () => {
  const made = (...madeAt: string[]) => madeAt.map((at) => ({ madeAt: at, heardOn: '2026-03-14' }));
  const times = (now: string, sent: string, ...madeAt: string[]) =>
    timesOf(Date.parse(now), Date.parse(sent), made(...madeAt)).map(({ at }) => at);

  it('that is a day behind is set right by what it says as it sends', () => {
    expect(times('2026-03-15T20:00:00.000Z', '2026-03-14T20:00:00.000Z', '2026-03-14T19:00:00.000Z')).toEqual([
      '2026-03-15T19:00:00.000Z',
    ]);
  });

  it('that jumped in between puts nothing before what was done earlier, nor after now', () => {
    const [first, second, third] = times(
      '2026-03-14T20:00:00.000Z',
      '2026-03-14T20:00:00.000Z',
      '2026-03-14T19:00:00.000Z',
      '2020-01-01T00:00:00.000Z',
      '2031-01-01T00:00:00.000Z',
    );
    expect([first, second, third]).toEqual([
      '2026-03-14T19:00:00.000Z',
      '2026-03-14T19:00:00.000Z',
      '2026-03-14T20:00:00.000Z',
    ]);
  });
});
