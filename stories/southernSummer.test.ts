import { emptyHouse, type House } from './house';

/** The same ants in a house south of the equator: it is December, and their winter is six months away. */
describe('a house in the southern half of the world', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-12-21');
    house.granted(await house.put('/api/house', { hemisphere: 'south' }));
    await house.shelf('Ant bench', 'Room', { temperatureC: 25, relativeHumidityPct: 50 });
    const nest = {
      chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 15 }],
      tubeBoreMm: 14,
      outworld: { lengthMm: 200, widthMm: 150, heightMm: 120 },
    };
    await house.box('F1', { lengthMm: 200, widthMm: 150, heightMm: 60 }, { nest });
    await house.takeIn('Camponotus vagus', 'F1', {
      profile: 'ant-large-mediterranean',
      stage: 'adult',
      form: 'colony',
      headCount: 60,
      bodyLengthMm: 10,
    });
  });

  it('rests from April', async () => {
    const { rests } = house.granted(await house.get('/api/rests'));
    expect(rests[0].beginsOn).toMatch(/^2027-04-1[3-7]$/);
  });

  it('has leaves on its trees in December', async () => {
    const asked = {
      profile: 'stick-insect',
      scientificName: 'Medauroidea extradentata',
      stage: 'adult',
      bodyLengthMm: 100,
      on: '2026-12-21',
    };
    const south = await house.compute('meal', { ...asked, hemisphere: 'south' });
    const north = await house.compute('meal', { ...asked, hemisphere: 'north' });
    const lasting = ({ meal }: { meal: { everyDays: number } }) => meal.everyDays;
    // Branches stand longer in winter.
    expect(lasting(south)).toBeLessThan(lasting(north));
  });
});
