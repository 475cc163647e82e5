import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { certificateFor } from './lan/authority';
import { log } from './log';
import { randomUUID } from 'node:crypto';
import { connect } from 'mqtt';
import type { Database } from './storage/database';
import { databases, emptyDatabase } from './testing/databases';
import { fixedClock, startServer, TODAY, type Answer, type TestServer } from './testing/server';
import { tub } from './testing/airedTub';
import { startBroker, READINGS_TOPIC } from './devices/mqtt';

const pathsOf = (answer: Answer) => answer.body.error.fields.map((field: { path: string }) => field.path);

describe.each(databases)('air and water on $kind', ({ open }) => {
  let database: Database;
  let server: TestServer;
  const clock = fixedClock();
  beforeAll(async () => {
    database = await emptyDatabase(open);
    server = await startServer(database, clock);
  }, 60_000);
  afterAll(async () => {
    await server.close();
    await database.close();
  });

  /** A culture of isopods in a tub of its own. */
  async function house() {
    const code = `X${Math.floor(Math.random() * 1e6)}`;
    const { shelf } = (await server.post('/api/shelves', { room: 'Boiler Room', name: code })).body;
    const { home } = (
      await server.post('/api/homes', {
        code,
        shelfId: shelf.id,
        container: tub,
        substrateDepthMm: 50,
        litterDepthMm: 20,
        mixId: 'isopod-litter',
      })
    ).body;
    const { resident } = (
      await server.post('/api/residents', {
        scientificName: 'Porcellio laevis',
        profile: 'isopod-temperate',
        stage: 'adult',
        headCount: 40,
        homeId: home.id,
        on: '2026-03-01',
      })
    ).body;
    return { home, resident };
  }
  const device = async (homeId: string) =>
    (await server.post('/api/probes', { name: 'air', kind: 'device', place: 'air', homeId })).body;
  const send = (token: string | undefined, body: unknown) =>
    server.raw('/api/readings', {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json', ...(token && { Authorization: `Bearer ${token}` }) },
    });

  describe('a device', () => {
    it('sends with its token; the same again counts once; what is not its own is refused', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      const reading = { temperatureC: 23.5, relativeHumidityPct: 81, at: '2026-03-14T10:00:00Z' };
      expect(await send(token, reading)).toMatchObject({ status: 201, body: { added: 1, duplicates: 0 } });
      expect((await send(token, reading)).body).toEqual({ added: 0, duplicates: 1 });
      expect(await send(undefined, reading)).toMatchObject({ status: 401 });
      expect(await send('guessed-token', reading)).toMatchObject({ status: 401 });
      expect(await send(token, { ...reading, temperatureC: 30 })).toMatchObject({ status: 409 });
      const renewed = (await server.post(`/api/probes/${probe.id}/token`, {})).body.token;
      expect(await send(token, reading)).toMatchObject({ status: 401 });
      expect(await send(renewed, { ...reading, at: undefined })).toMatchObject({ status: 201 });
      const { probes } = (await server.get('/api/probes')).body;
      expect(JSON.stringify(probes)).not.toContain(token);
    });

    it('must not share its token, run ahead, or say what cannot be; nothing of a bad list is kept', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      expect((await send(token, { device: 'north', temperatureC: 20 })).status).toBe(201);
      expect(pathsOf(await send(token, { device: 'south', temperatureC: 20 }))).toEqual(['device']);
      expect(pathsOf(await send(token, { temperatureC: 20, at: '2026-03-15T10:00:00Z' }))).toEqual(['at']);
      expect(pathsOf(await send(token, { relativeHumidityPct: 101 }))).toContain('relativeHumidityPct');
      expect(pathsOf(await send(token, {}))).toContain('temperatureC');
      const readings = [
        { at: '2026-03-13T10:00:00Z', temperatureC: 20 },
        { at: '2027-03-13T10:00:00Z', temperatureC: 20 },
      ];
      expect(pathsOf(await send(token, { readings }))).toEqual(['readings.1.at']);
      const series = await server.get(`/api/probes/${probe.id}/readings?from=2026-03-01T00:00:00Z`);
      expect(series.body.readings).toBe(1);
    });

    it('that jumps and comes back is marked and left out of the course', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      for (let index = 0; index < 14; index += 1) {
        const relativeHumidityPct = index === 7 ? 30 : 80 + (index % 3);
        await send(token, { relativeHumidityPct, at: `2026-03-14T${String(index).padStart(2, '0')}:00:00Z` });
      }
      const { body } = await server.get(`/api/probes/${probe.id}/readings`);
      expect(body.doubted).toMatchObject([{ mark: 'spike', relativeHumidityPct: 30 }]);
      expect(body.readings).toBe(13);
      expect(Math.min(...body.points.map((each: { lowPct: number }) => each.lowPct))).toBe(80);
    });

    it('is acknowledged over MQTT once it is stored, and not where it could not be', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      let isBroken = false;
      const slow: Database = {
        ...database,
        transaction: async (work) => {
          if (isBroken) throw new Error('The disk is gone.');
          await new Promise((resolve) => setTimeout(resolve, 50));
          return database.transaction(work);
        },
      };
      const complaints = jest.spyOn(log, 'error').mockImplementation(() => undefined);
      const broker = await startBroker({ database: slow, clock }, 0);
      const client = connect(`mqtt://127.0.0.1:${broker.port}`, { password: token, username: 'x', reconnectPeriod: 0 });
      const stored = async () => (await server.get(`/api/probes/${probe.id}/readings`)).body.readings;
      for (let hour = 0; hour < 5; hour += 1) {
        const reading = { temperatureC: 20 + hour, at: `2026-03-14T1${hour}:00:00Z` };
        await client.publishAsync(READINGS_TOPIC, JSON.stringify(reading), { qos: 1 });
        expect(await stored()).toBe(hour + 1);
      }
      isBroken = true;
      const lost = JSON.stringify({ temperatureC: 30, at: '2026-03-14T16:00:00Z' });
      const answer = client.publishAsync(READINGS_TOPIC, lost, { qos: 1 }).then(
        () => 'acknowledged',
        () => 'not',
      );
      await new Promise<void>((resolve) => client.once('close', () => resolve()));
      client.end(true);
      expect(await answer).toBe('not');
      expect(await stored()).toBe(5);
      complaints.mockRestore();
      await broker.close();
    });

    it('may speak MQTT over TLS from the home network; many at once are all stored before they are acknowledged', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-mqtt-'));
      const certificate = await certificateFor(
        folder,
        ['127.0.0.1'],
        new Date(performance.timeOrigin + performance.now()),
      );
      const broker = await startBroker({ database, clock }, 0, () => certificate);
      const client = connect(`mqtts://127.0.0.1:${broker.port}`, {
        ca: certificate.authority,
        password: token,
        username: 'x',
      });
      const at = (index: number) => new Date(Date.parse('2026-03-13T00:00:00Z') + index * 60_000).toISOString();
      await Promise.all(
        Array.from({ length: 300 }, (_, index) =>
          client.publishAsync(READINGS_TOPIC, JSON.stringify({ temperatureC: 20, at: at(index) }), { qos: 1 }),
        ),
      );
      expect((await server.get(`/api/probes/${probe.id}/readings?from=${at(0)}`)).body.readings).toBe(300);
      await client.endAsync();
      await broker.close();
      fs.rmSync(folder, { recursive: true });
    });

    it('may speak MQTT, with its token as password and to its own topic alone', async () => {
      const { home } = await house();
      const { probe, token } = await device(home.id);
      const complaints = jest.spyOn(log, 'error').mockImplementation(() => undefined);
      const broker = await startBroker({ database, clock }, 0);
      const open_ = (password: string) =>
        connect(`mqtt://127.0.0.1:${broker.port}`, { password, username: 'x', reconnectPeriod: 0 });
      const stranger = open_('wrong');
      await new Promise((resolve) => stranger.once('error', resolve));
      const client = open_(token);
      await client.publishAsync(READINGS_TOPIC, JSON.stringify({ temperatureC: 22, relativeHumidityPct: 77 }), {
        qos: 1,
      });
      await client.publishAsync(READINGS_TOPIC, 'no json', { qos: 1 });
      let latest = null;
      for (let tries = 0; tries < 50 && latest === null; tries += 1) {
        await new Promise((resolve) => setTimeout(resolve, 50));
        const all = (await server.get('/api/probes')).body.probes;
        latest = all.find((each: { id: string }) => each.id === probe.id).latest;
      }
      expect(latest).toMatchObject({ temperatureC: 22, relativeHumidityPct: 77 });
      expect(complaints).toHaveBeenCalledWith(expect.stringContaining('not JSON'));
      complaints.mockRestore();
      await client.endAsync();
      await broker.close();
    });
  });

  describe('the round', () => {
    const dampJob = async (residentId: string) => {
      const { stops } = (await server.get('/api/round')).body;
      const stop = stops.find((each: { residentId: string }) => each.residentId === residentId);
      return stop?.jobs.find((job: { kind: string }) => job.kind === 'damp');
    };
    it('names what to pour where; a handful felt brings it, a logged watering moves it on', async () => {
      const { home, resident } = await house();
      expect(await dampJob(resident.id)).toBeUndefined();
      await server.post('/api/entries', { kind: 'felt', residentId: resident.id, wetness: 'clumps-no-drop' });
      const job = await dampJob(resident.id);
      expect(job).toMatchObject({ water: { way: 'at-end' }, reason: { code: 'dries', by: 'felt' } });
      const damped = { kind: 'damped', residentId: resident.id, waterMl: job.water.ml, neededMl: job.water.ml };
      const { entry } = (await server.post('/api/entries', damped)).body;
      expect(await dampJob(resident.id)).toMatchObject({ doneBy: entry.id });
      const air = (await server.get(`/api/homes/${home.id}/air`)).body;
      expect(air.watering).toMatchObject({ by: 'damped', since: TODAY });
      expect(air.watering.dueOn > TODAY).toBe(true);
    });

    it('takes a reading that is as good as nothing', async () => {
      const { home } = await house();
      const reading = { place: 'air', relativeHumidityPct: 1e-300, temperatureC: 23 };
      expect((await server.post(`/api/homes/${home.id}/readings`, reading)).status).toBe(201);
    });

    it('is moved by weighing the box', async () => {
      const { home } = await house();
      const weigh = (massG: number, at: string) =>
        server.post(`/api/homes/${home.id}/readings`, { place: 'scale', massG, at });
      const before = (await server.get(`/api/homes/${home.id}/air`)).body.watering.dueOn;
      await weigh(2400, '2026-03-04T19:00:00Z');
      await weigh(2330, '2026-03-14T18:00:00Z');
      const { watering, waterLost } = (await server.get(`/api/homes/${home.id}/air`)).body;
      expect(waterLost).toMatchObject({ lostMl: 70, mlPerDay: expect.closeTo(7.03, 1) });
      expect(watering.by).toBe('weighed');
      expect(watering.dueOn < before).toBe(true);
    });

    it('hears probes that cry, and damps at once when the air was too dry', async () => {
      const { home, resident } = await house();
      const { token } = await device(home.id);
      const at = (hour: number) => new Date(Date.UTC(2026, 2, 12, 18) + hour * 3_600_000).toISOString();
      const readings = Array.from({ length: 49 }, (_, hour) => ({
        at: at(hour),
        relativeHumidityPct: 52 + (hour % 5) / 10,
      }));
      await send(token, { readings });
      expect(await dampJob(resident.id)).toMatchObject({ cannotWait: true, reason: { code: 'dry-air', minPct: 65 } });
      const { alarms } = (await server.get(`/api/homes/${home.id}/air`)).body;
      expect(alarms).toMatchObject([{ kind: 'too-dry', probe: 'air', limit: 65 }]);
    });
  });

  describe('a home', () => {
    it('is set right by its readings, keeps what they taught, and forgets it when told', async () => {
      const { home } = await house();
      const { token } = await device(home.id);
      const readings = Array.from({ length: 60 }, (_, index) => ({
        at: new Date(Date.UTC(2026, 2, 4) + index * 4 * 3_600_000).toISOString(),
        relativeHumidityPct: 70 + (index % 3),
      }));
      await send(token, { readings });
      const { body } = await server.post(`/api/homes/${home.id}/calibration`, {});
      expect(body.calibration).toMatchObject({ kept: null, fitted: ['draught'] });
      expect(body.calibration.humidityErrorPct.after).toBeLessThan(body.calibration.humidityErrorPct.before / 2);
      const find = async () =>
        (await server.get('/api/homes')).body.homes.find((each: { id: string }) => each.id === home.id);
      expect((await find()).factors.draught).toBeGreaterThan(1);
      await server.remove(`/api/homes/${home.id}/calibration`);
      expect((await find()).factors).toBeUndefined();
    });

    it('keeps its heat and its dish, and gives them up again', async () => {
      const { home } = await house();
      const heat = { source: 'mat-on-side', hasThermostat: true, warmingK: 3 };
      const set = await server.patch(`/api/homes/${home.id}`, { heat, dishAreaCm2: 40 });
      expect(set.body.home).toMatchObject({ heat, dishAreaCm2: 40 });
      const gone = await server.patch(`/api/homes/${home.id}`, { heat: null, dishAreaCm2: null });
      expect(gone.body.home.heat).toBeUndefined();
      const wrong = await server.patch(`/api/homes/${home.id}`, { heat: { ...heat, warmingK: 60 } });
      expect(pathsOf(wrong)).toEqual(['heat.warmingK']);
    });

    it('is read by hand: warm and cool side, never in the future, weights on the scale alone', async () => {
      const { home } = await house();
      const read = (body: object) => server.post(`/api/homes/${home.id}/readings`, body);
      expect((await read({ place: 'warm', temperatureC: 29 })).body.probe).toMatchObject({
        kind: 'hand',
        place: 'warm',
      });
      expect((await read({ place: 'cool', temperatureC: 22 })).status).toBe(201);
      expect(pathsOf(await read({ place: 'cool', massG: 2000 }))).toEqual(['place']);
      expect(pathsOf(await read({ place: 'cool', temperatureC: 22, at: '2026-04-01T00:00:00Z' }))).toEqual(['at']);
      expect(pathsOf(await read({ place: 'attic', temperatureC: 22 }))).toEqual(['place']);
    });
  });

  describe('rooms', () => {
    it('have the air that is usual, set, or measured', async () => {
      const { home } = await house();
      const { room } = (await server.get(`/api/homes/${home.id}/air`)).body;
      const air = { temperatureC: 25, relativeHumidityPct: 50, draughtMS: 0.2 };
      const set = await server.raw(`/api/rooms/${room.id}`, {
        method: 'PUT',
        body: JSON.stringify({ air }),
        headers: { 'Content-Type': 'application/json' },
      });
      expect(set.body.room).toMatchObject({ from: 'set', air });
      const { token } = (
        await server.post('/api/probes', { name: 'door', kind: 'device', place: 'room', roomId: room.id })
      ).body;
      const readings = [8, 10, 12, 14, 16].map((hour) => ({
        at: `2026-03-14T${String(hour).padStart(2, '0')}:00:00Z`,
        temperatureC: 19,
        relativeHumidityPct: 60,
      }));
      await send(token, { readings });
      const after = (await server.get(`/api/homes/${home.id}/air`)).body.room;
      expect(after).toMatchObject({
        from: 'readings',
        air: { temperatureC: 19, relativeHumidityPct: 60, draughtMS: 0.2 },
      });
      await server.put(`/api/rooms/${room.id}`, { air: null });
    });
    it('have probes of their own, and homes theirs', async () => {
      const { home } = await house();
      const probe = { name: 'x', kind: 'device', place: 'room', homeId: home.id };
      expect(pathsOf(await server.post('/api/probes', probe))).toEqual(['place']);
      expect(pathsOf(await server.post('/api/probes', { ...probe, homeId: undefined }))).toContain('homeId');
      expect(pathsOf(await server.post('/api/probes', { ...probe, place: 'air', homeId: randomUUID() }))).toEqual([
        'homeId',
      ]);
    });
  });

  describe('the file of a logger', () => {
    const row = (index: number) => [Date.UTC(2026, 1, 1) + index * 600_000, 20 + (index % 3) / 10, 70, null];
    it('comes in pieces and shows all at once; twice it changes nothing', async () => {
      const { home } = await house();
      const bring = async () => {
        const file = { name: 'Cellar logger', place: 'air', homeId: home.id };
        const { importId } = (await server.post('/api/imports', file)).body;
        for (const from of [0, 500]) {
          const rows = Array.from({ length: 500 }, (_, index) => row(from + index));
          await server.post(`/api/imports/${importId}/rows`, { rows });
        }
        const unseen = (await server.get(`/api/homes/${home.id}/air`)).body.probes[0].latest;
        return { importId, unseen, done: (await server.post(`/api/imports/${importId}/finish`, {})).body };
      };
      const first = await bring();
      expect(first.unseen).toBeNull();
      expect(first.done).toMatchObject({ added: 1000, duplicates: 0 });
      expect((await bring()).done).toMatchObject({ added: 0, duplicates: 1000, probeId: first.done.probeId });
      expect((await server.post(`/api/imports/${first.importId}/finish`, {})).status).toBe(404);
    });
    it('that is given up, or holds what cannot be, leaves nothing', async () => {
      const { home } = await house();
      const file = { name: 'Given up', place: 'air', homeId: home.id };
      const { importId } = (await server.post('/api/imports', file)).body;
      const wrong = await server.post(`/api/imports/${importId}/rows`, { rows: [[0, 20, 170, null]] });
      expect(pathsOf(wrong)).toEqual(['rows.0.2']);
      await server.post(`/api/imports/${importId}/rows`, { rows: [row(1)] });
      expect((await server.remove(`/api/imports/${importId}`)).status).toBe(200);
      const left = await database.query('SELECT 1 FROM reading_staged WHERE import_id = $1', [importId]);
      expect(left).toEqual([]);
    });
  });

  describe('a simulated probe', () => {
    it('has a tale to tell at once, and takes a fault to try the alarms with', async () => {
      const { home } = await house();
      const asked = { name: 'try', kind: 'simulated', place: 'air', homeId: home.id };
      const { probe, token } = (await server.post('/api/probes', asked)).body;
      expect(token).toBeNull();
      expect(probe.latest.relativeHumidityPct).toBeGreaterThan(60);
      const { body } = await server.patch(`/api/probes/${probe.id}`, { fault: 'silent' });
      expect(body.probe.fault).toBe('silent');
      expect((await server.remove(`/api/probes/${probe.id}`)).body.removed).toBe(probe.id);
      const { probe: real } = await device(home.id);
      expect(pathsOf(await server.patch(`/api/probes/${real.id}`, { fault: 'stuck' }))).toEqual(['fault']);
    });
  });
});
