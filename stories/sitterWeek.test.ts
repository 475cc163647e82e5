import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * The keepers leave for ten days. A neighbour who knows no animals looks in. The sheet says what to do, in which box, and what
 * never to open: what stings, and what is about to moult.
 */
describe('ten days with a sitter', () => {
  let house: House;
  let premoult: Resident;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a sheet as it came
  let sheet: any;
  beforeAll(async () => {
    house = await emptyHouse('2026-06-01');
    await house.shelf('S', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await house.box('A1', 'flat-2', { soilMm: 70 });
    await house.box('A2', 'deep-large', { soilMm: 150, furniture: [{ kind: 'hide' }] });
    await house.box('A3', 'net-large', { furniture: [{ kind: 'rough-strip' }, { kind: 'bottle', stopped: true }] });
    premoult = await house.takeIn('Grammostola pulchra', 'A1', {
      profile: 'ground-tarantula',
      stage: 'juvenile',
      legSpanMm: 70,
      on: '2026-01-01',
    });
    await house.write('sign', premoult, { sign: 'bald-patch-dark' });
    await house.takeIn('Hadrurus arizonensis', 'A2', { profile: 'desert-scorpion', stage: 'adult', bodyLengthMm: 100 });
    await house.takeIn('Carausius morosus', 'A3', {
      profile: 'stick-insect',
      stage: 'nymph',
      bodyLengthMm: 45,
      headCount: 12,
      instar: 4,
    });
    const asked = { from: '2026-06-03', until: '2026-06-12', sitter: 'Wren', call: 'Imre' };
    const { absence } = house.granted(await house.post('/api/absences', asked), 201);
    sheet = house.granted(await house.get(`/api/absences/${absence.id}/sheet`));
  });
  const codes = (list: { code: string }[]) => [...new Set(list.map(({ code }) => code))].sort();

  it('names the boxes that stay shut, with the reason', () => {
    expect(sheet.neverOpen).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ code: 'A1', why: 'premoult' }),
        expect.objectContaining({ code: 'A2', why: 'dangerous' }),
      ]),
    );
  });

  it('sends the sitter to the leaf-eaters only', () => {
    const visited = sheet.visits.flatMap(({ stops }: { stops: { code: string }[] }) => stops);
    expect(codes(visited)).toEqual(['A3']);
  });

  it('has them fed', () => {
    const stops = sheet.visits.flatMap(({ stops: all }: { stops: { kinds: string[] }[] }) => all);
    expect(stops.flatMap(({ kinds }: { kinds: string[] }) => kinds)).toContain('feed');
  });
});
