import { emptyDatabase } from './testing/databases';
import { fixedClock, startServer } from './testing/server';

it('a page hears that the clock was set back, until it is right again or what lies ahead is taken back', async () => {
  const database = await emptyDatabase();
  const on = async <Answer>(
    today: string,
    use: (server: Awaited<ReturnType<typeof startServer>>) => Promise<Answer>,
  ) => {
    const server = await startServer(database, fixedClock(today));
    return use(server).finally(() => server.close());
  };
  const told = (today: string) =>
    on(today, async ({ address }) => {
      const { body } = await fetch(`${address}/api/events`);
      const reader = (body as ReadableStream<Uint8Array>).getReader();
      let text = '';
      while (!text.includes('event: clock')) text += new TextDecoder().decode((await reader.read()).value);
      await reader.cancel();
      return JSON.parse(/data: (.*)/.exec(text)?.[1] ?? '{}').behind as string | null;
    });
  expect(await told('2026-03-14')).toBeNull();
  const residentId = await on('2026-03-10', async ({ post }) => {
    const { shelf } = (await post('/api/shelves', { room: 'R', name: 'S' })).body;
    const container = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
    const { home } = (await post('/api/homes', { code: 'A1', shelfId: shelf.id, container, substrateDepthMm: 40 }))
      .body;
    const spider = { scientificName: 'Tliltocatl albopilosus', homeId: home.id, stage: 'juvenile', legSpanMm: 58 };
    return (await post('/api/residents', spider)).body.resident.id as string;
  });
  const entryId = await on('2026-03-14', async ({ post }) => {
    return (await post('/api/entries', { kind: 'looked', residentId })).body.entry.id as string;
  });
  expect(await told('2026-03-11')).toMatch(/^2026-03-14T19:/);
  expect(await told('2026-03-14')).toBeNull();
  await on('2026-03-11', ({ post }) => post(`/api/entries/${entryId}/undo`, {}));
  expect(await told('2026-03-11')).toBeNull();
  await database.close();
}, 60_000);
