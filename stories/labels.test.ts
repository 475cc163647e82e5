import { emptyHouse } from './house';

const ADDRESS = 'http://burrow.local:4870';
const TAPE = { form: 'tape', widthMm: 62, heightMm: 35 };

/** What stands on a label, from above. */
const readOff = ({ texts }: { texts: { text: string }[] }) => texts.map(({ text }) => text.trim()).join(' ');

describe('Labels', () => {
  it('say what the house says today, and are to be printed anew once they no longer do', async () => {
    const house = await emptyHouse('2026-03-14');
    expect((await house.get('/api/labels')).body.labels).toEqual([]);
    await house.box('A1', 'flat-1', { soilMm: 40 });
    const b2 = await house.box('B2', 'flat-1', { soilMm: 40 });
    const spider = await house.takeIn('Grammostola pulchra', 'A1', {
      ...{ stage: 'juvenile', legSpanMm: 40, called: 'Ink', sex: 'female', permit: 'S-77' },
    });
    const rows = async () => (await house.get('/api/labels')).body.labels;
    expect(await rows()).toMatchObject([
      { about: spider.id, title: 'A1 Grammostola pulchra (Ink)', standing: 'never', printedAt: null },
      { about: b2.id, title: 'B2', standing: 'never' },
    ]);
    const asked = { about: [spider.id], stock: TAPE, address: ADDRESS };
    const { labels } = house.granted(await house.post('/api/labels/drawn', asked));
    expect(readOff(labels[0])).toBe('A1 Ink Grammostola pulchra female, since 14 Mar 2026 barbed hairs permit S-77');
    expect(labels[0].texts.find(({ text }: { text: string }) => text === 'Grammostola pulchra').font).toBe('name');

    house.granted(await house.post('/api/label-prints', { ...asked, wentTo: 'printer' }), 201);
    expect(await rows()).toMatchObject([{ standing: 'same' }, { standing: 'never' }]);
    // It goes to the next box: the label that hangs there says another one.
    await house.write('moved', spider, { homeId: b2.id });
    expect(await rows()).toMatchObject([
      { title: 'A1', standing: 'never' },
      { about: spider.id, title: 'B2 Grammostola pulchra (Ink)', standing: 'changed' },
    ]);
    const { print } = house.granted(await house.post('/api/label-prints', { ...asked, wentTo: 'file' }), 201);
    expect((await rows())[1]).toMatchObject({ standing: 'same' });
    // What was not printed after all still hangs there wrong.
    house.granted(await house.post(`/api/label-prints/${print.id}/undo`, {}));
    expect((await rows())[1]).toMatchObject({ standing: 'changed' });
  });

  it('of a renamed animal, and of one whose sex was told, no longer hold', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('A1', 'flat-1', { soilMm: 40 });
    const spider = await house.takeIn('Tliltocatl albopilosus', 'A1', { stage: 'subadult', legSpanMm: 80 });
    const print = async () =>
      house.granted(
        await house.post('/api/label-prints', { about: [spider.id], stock: TAPE, address: ADDRESS, wentTo: 'file' }),
        201,
      );
    const standing = async () => (await house.get('/api/labels')).body.labels[0].standing;
    await print();
    house.granted(await house.patch(`/api/residents/${spider.id}`, { called: 'Curly' }));
    expect(await standing()).toBe('changed');
    await print();
    expect(await standing()).toBe('same');
    await house.write('sexed', spider, { sex: 'male', by: 'shed-skin' });
    expect(await standing()).toBe('changed');
  });

  it('name the cleaners on the label of whom they clean after, and give each of a mixed box its own', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('A1', 'flat-1', { soilMm: 60 });
    const snail = await house.takeIn('Cornu aspersum', 'A1', { stage: 'adult', headCount: 4, bodyLengthMm: 30 });
    await house.takeIn('Folsomia candida', 'A1', { stage: 'adult', headCount: 100, bodyLengthMm: 2 });
    const { labels } = (await house.get('/api/labels')).body;
    expect(labels.map(({ title }: { title: string }) => title)).toEqual(['A1 Cornu aspersum']);
    const drawn = await house.post('/api/labels/drawn', { about: [snail.id], stock: TAPE, address: ADDRESS });
    expect(readOff(drawn.body.labels[0])).toMatch(/with Folsomia candida$/);
  });

  it('refuse what cannot be printed, and note nothing', async () => {
    const house = await emptyHouse('2026-03-14');
    const box = await house.box('A1', 'flat-1');
    const grid = {
      form: 'sheet',
      paper: { widthMm: 210, heightMm: 297 },
      columns: 4,
      rows: 8,
      widthMm: 70,
      heightMm: 37,
    };
    const stock = { ...grid, leftMm: 0, topMm: 0, acrossMm: 70, downMm: 37 };
    const asked = { about: [box.id], address: ADDRESS, wentTo: 'file', stock };
    const problems = async (body: object) => (await house.post('/api/label-prints', body)).body.error.fields;
    expect(await problems(asked)).toMatchObject([
      { path: 'stock.columns', message: expect.stringContaining('210 mm') },
    ]);
    expect(await problems({ ...asked, stock: { ...stock, columns: 3 }, startAt: 25 })).toMatchObject([
      { path: 'startAt', message: expect.stringContaining('from 1 to 24') },
    ]);
    expect(await problems({ ...asked, stock: TAPE, address: 'burrow' })).toMatchObject([{ path: 'address' }]);
    expect(await problems({ ...asked, stock: TAPE, about: ['00000000-0000-4000-8000-000000000000'] })).toMatchObject([
      { path: 'about.0' },
    ]);
    expect((await house.get('/api/labels')).body.labels[0].standing).toBe('never');
  });
});
