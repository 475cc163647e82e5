import { readPdf } from '@/server/testing/readPdf';
import { emptyHouse, type House } from './house';

/** What stands on a sheet, page by page. */
const readPaper = async (house: House, name: string, query = '') =>
  (await readPdf(await house.bytes(`/api/paper/${name}.pdf${query}`))).map(({ words }) => words);

describe('On paper', () => {
  it('an empty house has sheets that say so', async () => {
    const house = await emptyHouse('2026-03-14');
    expect((await readPaper(house, 'round'))[0]).toContain('nothing to do');
    expect((await readPaper(house, 'shelves'))[0]).toContain('0 boxes');
    expect((await readPaper(house, 'emergency'))[0]).toContain('No numbers are written down yet');
  });

  it('the round says what the page says, in the units of whoever prints it, and who is left alone', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('A1', 'flat-2', { soilMm: 40 });
    await house.box('A2', 'flat-2', { soilMm: 60 });
    const spider = await house.takeIn('Grammostola pulchra', 'A1', {
      ...{ stage: 'juvenile', legSpanMm: 60, called: 'Ink', on: '2026-01-10', lastMealOn: '2026-01-10' },
    });
    const quiet = await house.takeIn('Tliltocatl albopilosus', 'A2', { stage: 'juvenile', legSpanMm: 60 });
    await house.write('moulted', quiet);
    const words = (await readPaper(house, 'round')).join(' ');
    for (const title of await house.round(spider)) expect(words).toContain(title);
    expect(words).toContain('Ink');
    expect(words).toContain('Caution: barbed hairs');
    expect(words).toMatch(/Leave alone.*A2.*hardening/);
    const inches = (await readPaper(house, 'round', '?length=in&paper=letter')).join(' ');
    expect(inches).not.toContain(' mm');
    expect(inches).toContain(' in');
  });

  it('a record is whole, from its first day on, and a handling sheet has its cautions and the way to call', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('A1', 'flat-2', { soilMm: 40 });
    const spider = await house.takeIn('Grammostola pulchra', 'A1', {
      ...{ stage: 'juvenile', legSpanMm: 60, on: '2025-11-02', source: 'a friend’s brood', permit: 'S-77' },
    });
    await house.write('offered', spider, { on: '2026-01-05' });
    await house.write('noted', spider, { on: '2026-01-06', note: 'sits at the lid' });
    const record = (await readPaper(house, 'record', `?resident=${spider.id}`)).join(' ');
    expect(record).toMatch(/2 Nov 2025.*Taken in.*5 Jan 2026.*Offered.*6 Jan 2026.*sits at the lid/);
    expect(record).toContain('S-77');
    const handling = (await readPaper(house, 'handling', `?resident=${spider.id}`)).join(' ');
    expect(handling).toContain('gloves');
    expect(handling).toContain('If it gets out');
    expect(handling).toContain('emergency services');
    const card = (await readPaper(house, 'card', '?name=Grammostola%20pulchra&temperature=F')).join(' ');
    expect(card).toContain('Air and water');
    expect(card).toMatch(/\d F/);
  });

  it('a page for the new keeper says of its first food what the program says, and nothing of hunting to those that eat leaves', async () => {
    const house = await emptyHouse('2026-03-14');
    await house.box('A1', 'flat-2', { soilMm: 40 });
    await house.box('A2', 'tall-3');
    const spider = await house.takeIn('Grammostola pulchra', 'A1', { stage: 'juvenile', legSpanMm: 60 });
    const leafEater = await house.takeIn('Carausius morosus', 'A2', { stage: 'nymph', bodyLengthMm: 30 });
    const pageOf = async ({ id }: { id: string }) =>
      (await readPaper(house, 'new-keeper', `?resident=${id}`)).join(' ');
    const { profiles } = (await house.get('/api/profiles')).body;
    const settles = profiles.find(({ id }: { id: string }) => id === spider.profile).feeding.settleDays.value;
    expect(await pageOf(spider)).toContain(`First food ${settles} day`);
    expect(await pageOf(leafEater)).not.toContain('First food');
    expect(await pageOf(leafEater)).toContain('about to moult');
    await house.box('A3', 'flat-1', { soilMm: 40 });
    const snail = await house.takeIn('Cornu aspersum', 'A3', { stage: 'adult', bodyLengthMm: 30 });
    expect(await pageOf(snail)).not.toContain('about to moult');
  });

  it('what is asked for wrongly is refused, naming the field', async () => {
    const house = await emptyHouse('2026-03-14');
    const refused = async (path: string) => (await house.get(`/api/paper/${path}`)).body.error;
    expect((await refused('round.pdf?length=ell')).fields).toMatchObject([{ path: 'length' }]);
    expect((await refused('record.pdf')).fields).toMatchObject([{ path: 'resident' }]);
    expect((await refused('card.pdf?name=Nobody%20knows')).code).toBe('not-found');
    expect((await refused('poster.pdf')).message).toContain('round.pdf');
  });
});
