import { demoCases } from '../../demo/cases';
import type { WeighedNumber } from '@/contract/ground';
import { shippedKnowledge } from '@/contract/shipped';
import { usualCases } from '@/core/ground/cases';
import { numbersOf } from '@/core/ground/numbers';
import { Weighing } from '@/core/ground/sensitivity';
import { weighedNumbers } from './groundRows';
import { onEmptyServer } from './testing/onEmptyServer';
import type { Answer, TestServer } from './testing/server';
import { readWeights } from './weights';

const weights = readWeights();
const rows = weighedNumbers(shippedKnowledge, weights);

describe('the weights that were written down', () => {
  it('are of numbers that there are, and as they come out today (else: npm run weigh)', () => {
    const known = new Map(numbersOf(shippedKnowledge).map((each) => [each.id, each]));
    expect(weights.filter(({ id }) => !known.has(id))).toEqual([]);
    const weighing = new Weighing(shippedKnowledge, [...usualCases(shippedKnowledge), ...demoCases()]);
    for (const id of [
      'profiles/mantis/growth/intervals/0/days/value',
      'profiles/land-snail/making/dampWetness',
      'eggs/stick-insect/matedDays/max',
      'populations/springtail/adultLifeDays/value',
    ]) {
      const number = known.get(id);
      const written = weights.find((each) => each.id === id)?.weight ?? 0;
      if (!number) throw new Error(`There is no number ${id}.`);
      const { weight } = weighing.of(number);
      expect({ id, ratio: Math.round(20 * (weight / written)) / 20 }).toEqual({ id, ratio: 1 });
    }
  });

  it('are, of the hundred heaviest, of numbers that were published, or whose range is reckoned with', () => {
    const loose = rows.slice(0, 100).filter(({ basis, spread }) => !spread && !basis.startsWith('published'));
    expect(loose.map(({ id }) => id)).toEqual([]);
  });

  it('say whose number it is, and what it says, in words', () => {
    const wordless = rows.filter(({ of, sentence }) => of === '' || !/^[A-Z0-9].*[.:]$/.test(sentence));
    expect(wordless.slice(0, 10).map(({ id, of, sentence }) => [id, of, sentence])).toEqual([]);
  });
});

describe('what rests on what', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);

  it('is told heaviest first, and found by words', async () => {
    const { body } = await server.get('/api/ground?most=30');
    const all = body.numbers.map(({ weight }: WeighedNumber) => weight);
    expect(all).toEqual([...all].sort((a, b) => b - a));
    expect(body.numbers).toHaveLength(30);
    const { byBasis, numbers } = body.summary;
    const pct = byBasis.reduce((sum: number, each: { weightPct: number }) => sum + each.weightPct, 0);
    expect(pct).toBeCloseTo(100, 6);
    expect(byBasis.reduce((sum: number, each: { numbers: number }) => sum + each.numbers, 0)).toBe(numbers);
    const found = await server.get('/api/ground?most=500&find=coir%20water');
    expect(found.body.numbers[0].id).toBe('materials/coir/waterHeldMlPerL/value');
    expect(found.body.found).toBeLessThan(50);
    for (const query of ['most=0', 'most=501', 'most=x', 'find=']) {
      const refused = await server.get(`/api/ground?${query}`);
      expect([query, refused.status]).toEqual([query, 422]);
    }
  });

  it('is tried on the spot: the answers that another value would change', async () => {
    const number = 'profiles/mantis/growth/intervals/0/days/value';
    const { body } = await server.post('/api/compute/sensitivity', { number });
    expect(body.lower).toBeLessThan(body.number.value);
    expect(body.higher).toBeGreaterThan(body.number.value);
    expect(body.answers[0]).toMatchObject({ question: 'moult' });
    for (const wrong of [{ number: 'unicorns/1' }, { number: 'profiles/mantis/fit/alone/max/plus' }, {}]) {
      const refused = await server.post('/api/compute/sensitivity', wrong);
      expect(refused.status).toBe(422);
      expect(fields(refused)).toEqual(['number']);
    }
  });
});
