import { act, fireEvent, screen, within } from '@testing-library/react';
import { router } from 'expo-router';
import { CallFailed } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import type { Culture, StockLine, SupplyPlan } from '@/contract/store';
import { addDays } from '@/core/measure/day';
import { ItemScreen } from '../screens/ItemScreen';
import { openList, tap, type } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { lastsWords, orderDays, stockWords } from '@/words/store';
import { FoodStore } from './FoodStore';

jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const TODAY = '2026-03-14';
const [kind] = shippedFeeders;
const [size, next] = (kind?.classes ?? []).filter(({ isFood }) => isFood);
const leaf = shippedFoods.find((food) => food.kind === 'leaf');
if (!kind || !size || !next || !leaf) throw new Error('The shipped feeders hold too little for this test.');

const stock = (change: Partial<StockLine> = {}): StockLine => ({
  ...{ item: size.id, unit: 'pieces', onHand: 36.4, stale: 0, useBy: null, countedOn: '2026-03-13' },
  ...change,
});
const line = (change: Partial<SupplyPlan['lines'][number]> = {}): SupplyPlan['lines'][number] => ({
  ...{ item: size.id, unit: 'pieces', demand: [20, 22, 24], short: [0, 0, 12], orders: [] },
  ...{ isSold: true, totalCost: 0, breeders: 14 },
  ...change,
});
const order = (inDays: number, change: object = {}) => ({
  ...{ neededOn: addDays(TODAY, inDays + 3), orderBy: addDays(TODAY, inDays), isLate: false },
  ...{ packs: 2, amount: 100, cost: 7.4 },
  ...change,
});
const planOf = (...lines: SupplyPlan['lines']): SupplyPlan => ({
  ...{ from: TODAY, weeks: 12, supplier: 'Feeder Post', lines, totalCost: 0 },
});
const culture: Culture = {
  ...{ id: 'c', called: 'Tub 1', kind: kind.id, breeders: 12, harvested: size.id },
  ...{ begunOn: '2026-01-10', yieldPerWeek: 31.6 },
};

describe('the store', () => {
  let answers: Record<string, unknown>;
  const asked = (name: string) => mockCall.mock.calls.filter(([each]) => each === name).map(([, input]) => input);
  beforeEach(() => {
    answers = {
      store: { on: TODAY, lines: [stock()], cultures: [culture] },
      supplyPlan: planOf(line()),
      stockEntries: { entries: [] },
      materials: { materials: [], mixes: [], boxSizes: [] },
      mixes: { mixes: [] },
      boxSizes: { boxSizes: [] },
    };
    mockCall.mockReset();
    mockCall.mockImplementation(async (name: string) => {
      const answer = answers[name];
      if (answer instanceof Error) throw answer;
      return answer ?? {};
    });
    jest.mocked(router.push).mockClear();
    useLog.setState({ notice: null });
    usePreferences.getState().set({ keeper: 'Odalys Fenn' });
    useHouse.setState({
      ...{
        round: { on: TODAY, stops: [], unworkable: [] },
        feeders: [...shippedFeeders],
        foods: [...shippedFoods],
        state: 'ready',
      },
    });
  });
  afterAll(() => usePreferences.getState().set({ keeper: '' }));
  const show = (element: React.ReactElement) => act(async () => void renderThemed(element));
  const notice = () => useLog.getState().notice;

  it('says what is there, how long it lasts, what to order by when, and what to cut', async () => {
    answers.supplyPlan = planOf(
      line({ orders: [order(9), order(2, { cost: 3 })] }),
      line({ item: next.id, short: [4, 0, 0], orders: [order(2, { packs: 1, amount: 50, cost: 4.5, isLate: true })] }),
      line({ item: leaf.id, unit: 'g', demand: [120, 120, 120], short: [0, 0, 0], breeders: null }),
    );
    await show(<FoodStore chosenItem={undefined} />);
    expect(screen.getByText('By 16 Mar: 7.50')).toBeTruthy();
    expect(screen.getByText('Feeder Post')).toBeTruthy();
    expect(screen.getByText(/^Some of it cannot arrive before you run out/)).toBeTruthy();
    expect(screen.getByText('about 36, counted yesterday')).toBeTruthy();
    expect(screen.getByText('about 22 a week, lasts until 28 Mar')).toBeTruthy();
    expect(screen.getByText('none there')).toBeTruthy();
    expect(screen.getByText(/short this week$/)).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'To cut' })).toBeTruthy();
    await tap('button', 'All orders, 12 weeks');
    expect(router.push).toHaveBeenCalledWith('/store/orders');
  });

  it('says that it works the need out, and what went wrong', async () => {
    answers.supplyPlan = new CallFailed('The server does not answer.', [], true);
    await show(<FoodStore chosenItem={undefined} />);
    expect(screen.getByText('The server does not answer.')).toBeTruthy();
  });

  it('begins, changes and gives up cultures, each field with what would be right', async () => {
    await show(<FoodStore chosenItem={undefined} />);
    expect(screen.getByText(/^yields about 32 /)).toBeTruthy();
    await tap('button', 'Begin a culture');
    await tap('button', 'Keep');
    expect(screen.getByText('What it is called on the shelf.')).toBeTruthy();
    await type('What it is called', 'Tub 2');
    await type('Breeders, of both sexes', 'many');
    await tap('button', 'Keep');
    expect(screen.getByText('A whole number from 0 up.')).toBeTruthy();
    await type('Breeders, of both sexes', '20');
    await tap('button', 'Keep');
    expect(screen.getByText('Choose the size that is taken out.')).toBeTruthy();
    await openList('Size that is taken out');
    const sizes = within(screen.getByRole('radiogroup', { name: 'Size that is taken out' }));
    await act(async () => fireEvent.click(sizes.getAllByRole('radio')[0] as HTMLElement));
    expect(screen.getByText('14 would sustain what the house eats of this size.')).toBeTruthy();
    await tap('button', 'Keep');
    expect(asked('addCulture')).toEqual([
      { body: { id: expect.any(String), kind: kind.id, called: 'Tub 2', breeders: 20, harvested: size.id } },
    ]);
    expect(notice()).toEqual({ text: 'Tub 2: kept.' });

    await tap('link', 'Tub 1: change');
    await type('Breeders, of both sexes', '0');
    await tap('button', 'Keep');
    expect(asked('changeCulture')).toEqual([
      { params: { id: 'c' }, body: { called: 'Tub 1', breeders: 0, harvested: size.id } },
    ]);
    await tap('link', 'Tub 1: change');
    answers.removeCulture = new CallFailed('It is not here.');
    await tap('button', 'Give this culture up');
    await tap('button', 'Give it up');
    expect(notice()).toEqual({ text: 'It is not here.', isProblem: true });
    expect(screen.getByLabelText('Breeders, of both sexes')).toBeTruthy();
  });

  it('writes down what came in, under the name of who did, and takes it back', async () => {
    answers.stockEntries = {
      entries: [{ id: 'e', item: size.id, kind: 'bought', amount: 50, on: '2026-03-12', keeper: 'Imre Talsk' }],
    };
    await show(<ItemScreen item={size.id} />);
    expect(screen.getByText('Thursday: 50 bought, Imre Talsk')).toBeTruthy();
    expect(screen.getByText('14 breeders of your own would sustain that.')).toBeTruthy();
    await type('How many', '2.5');
    await tap('button', 'Write down');
    expect(screen.getByText('A whole number from 0 up.')).toBeTruthy();
    await type('How many', '0');
    await tap('button', 'Write down');
    expect(asked('addStockEntry')).toHaveLength(1);
    await tap('radio', /^bought/i);
    await type('How many', '0');
    await tap('button', 'Write down');
    expect(screen.getByText('A whole number over 0.')).toBeTruthy();
    await type('How many', '60');
    await tap('button', 'Write down');
    const [, sent] = asked('addStockEntry') as { body: { id: string } }[];
    expect(sent?.body).toMatchObject({ item: size.id, kind: 'bought', amount: 60, keeper: 'Odalys Fenn' });
    expect((screen.getByLabelText('How many') as HTMLInputElement).value).toBe('');

    answers.undoStockEntry = new CallFailed('That was eaten since.');
    await act(async () => void (await notice()?.action?.run()));
    expect(notice()).toEqual({ text: 'That was eaten since.', isProblem: true });
  });

  it('knows what it does not hold', async () => {
    await show(<ItemScreen item="tinned-fish" />);
    expect(screen.getByText('There is nothing of that name in the store.')).toBeTruthy();
  });
});

describe('words of the store', () => {
  it('say how long something lasts', () => {
    expect(lastsWords(undefined, TODAY)).toBe('nobody needs any in 12 weeks');
    expect(lastsWords(line({ short: [0, 0, 0] }), TODAY)).toBe('lasts 3 weeks and more');
    expect(lastsWords(line({ short: [0, 3, 9] }), TODAY)).toBe('lasts until 21 Mar');
  });

  it('say how good it is, and until when', () => {
    const jelly = stock({ unit: 'g', onHand: 120, stale: 40, useBy: '2026-03-20', countedOn: null });
    expect(stockWords(jelly, TODAY)).toBe('120 g there, use by 20 Mar, 40 g past its time');
    expect(stockWords({ ...jelly, stale: 0, useBy: '2027-01-01' }, TODAY)).toBe('120 g there');
  });

  it('put what is ordered on one day together, the first day first, with what it costs', () => {
    const plan = planOf(
      line({ orders: [order(9), order(2)] }),
      line({ item: next.id, orders: [order(2, { isLate: true })] }),
    );
    expect(orderDays(plan).map(({ by, isLate, cost, lines }) => [by, isLate, cost, lines.length])).toEqual([
      ['2026-03-16', true, 14.8, 2],
      ['2026-03-23', false, 7.4, 1],
    ]);
  });
});
