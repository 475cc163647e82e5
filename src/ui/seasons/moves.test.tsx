import { profileOf } from '@/contract/testing/profileOf';
import { careBook } from '@/core/profiles/careBook';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { router } from 'expo-router';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { MovesReply, Seasons } from '@/contract/plan';
import type { Home, Resident } from '@/contract/records';
import { addDays, type Day } from '@/core/measure/day';
import { renderThemed } from '../testing/themed';
import { whyNot } from './MoveDay';
import { MovesBoard } from './MovesBoard';
import { tub } from '../testing/tub';
import { chainsOf } from './chains';

jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (...asked: unknown[]) => mockCall(...asked),
}));

const TODAY = '2026-03-14';
const inDays = (days: number): Day => addDays(TODAY, days);
const KIND = { profile: 'ground-tarantula', stage: 'adult' };
const home = (code: string, residentIds: string[] = []) => tub(code, { residentIds } as Partial<Home>);
const resident = (id: string, code: string) =>
  ({ id, called: id, scientificName: 'Tliltocatl albopilosus', homeId: `home ${code}`, ...KIND }) as Resident;

const move = (residentId: string, change: Partial<MovesReply['moves'][number]> = {}): MovesReply['moves'][number] => ({
  ...{ resident: residentId, from: 'home A2', to: 'home B3', on: inDays(3), verdict: 'pass', need: 'fails' },
  ...{ servesMoults: 2, waitsFor: null, cost: 1, depthMm: 119, soilToAddL: 1.24, closed: [] },
  window: { from: inDays(1), until: inDays(20) },
  ...change,
});
const reply = (change: Partial<MovesReply> = {}): MovesReply => ({
  ...{ moves: [], unplaced: [], unplacedWhy: [], cost: 40, bound: 40, by: 'exact', buy: [], unserved: [] },
  ...change,
});
const seasons = (change: Partial<Seasons> = {}): Seasons => ({
  ...{ from: TODAY, days: 365, marks: [], minutes: [], busyDays: [], absences: [], closed: [] },
  ...change,
});

describe('the moves', () => {
  let answers: { seasons: Seasons; movesPlan: MovesReply | Error };
  const written: object[] = [];
  const { write, writeMany } = useLog.getState();
  beforeEach(() => {
    answers = { seasons: seasons(), movesPlan: reply() };
    written.length = 0;
    mockCall.mockReset();
    mockCall.mockImplementation(async (name: 'seasons' | 'movesPlan') => {
      const answer = answers[name];
      if (answer instanceof Error) throw answer;
      return answer;
    });
    jest.mocked(router.push).mockClear();
    useLog.setState({
      notice: null,
      write: async (entry) => (written.push(entry), true),
      writeMany: async (entries) => (written.push(...entries), true),
    });
    useHouse.setState({
      // A new round: what lies ahead is asked anew.
      round: { on: TODAY, stops: [], unworkable: [] },
      residents: [resident('Soot', 'A2'), resident('Pip', 'A1')],
      care: careBook([profileOf('ground-tarantula')], []),
      homes: [home('A1', ['Pip']), home('A2', ['Soot']), home('B3')],
    });
  });
  afterAll(() => useLog.setState({ write, writeMany }));
  const show = () => act(async () => void renderThemed(<MovesBoard />));
  const press = (name: string | RegExp) => act(async () => fireEvent.click(screen.getByRole('button', { name })));

  it('are worked out as it was chosen: who goes where, why, after whom, in which days, and how good the plan is', async () => {
    answers.movesPlan = reply({
      moves: [move('Soot'), move('Pip', { from: 'home A1', to: 'home A2', need: 'outgrows', waitsFor: 'Soot' })],
      ...{ cost: 40, bound: 39 },
    });
    await show();
    fireEvent.click(screen.getByRole('radio', { name: '1 a day' }));
    fireEvent.click(screen.getByRole('checkbox', { name: /move others to make room/ }));
    await press('Work the moves out');
    expect(mockCall).toHaveBeenLastCalledWith('movesPlan', {
      body: { days: 60, perDay: 1, cleaningDays: 2, makeRoom: true },
    });
    expect(screen.getByText('2 moves, within 2.5 % of the best.')).toBeTruthy();
    expect(screen.getByText('A2 to B3, 17 Mar')).toBeTruthy();
    expect(screen.getByText('its box does not fit; B3 fits for two moults and more')).toBeTruthy();
    expect(screen.getAllByText('soil 119 mm, add 1.2 L; can be made tomorrow to 3 Apr')).toHaveLength(2);
    const second = screen.getByRole('link', { name: 'Open A1, Pip' });
    expect(within(second).getByText('after A2, Soot, has left it')).toBeTruthy();

    await press('Settle these moves');
    expect(written).toEqual([
      ...[
        { kind: 'move-planned', residentId: 'Soot', toHomeId: 'home B3', moveOn: inDays(3) },
        { kind: 'move-planned', residentId: 'Pip', toHomeId: 'home A2', moveOn: inDays(3) },
      ].map((each) => ({ ...each, from: inDays(1), until: inDays(20) })),
    ]);
    expect(screen.queryByRole('button', { name: 'Settle these moves' })).toBeNull();
  });

  it('are looked for longer where a better plan may be found, and not where none is', async () => {
    answers.movesPlan = reply({ moves: [move('Soot')], cost: 40, bound: 30, by: 'heuristic' });
    await show();
    await press('Work the moves out');
    expect(screen.getByText('1 move, at most 25 % from the best.')).toBeTruthy();
    answers.movesPlan = reply({ moves: [move('Soot')], cost: 32, bound: 32 });
    await press('Look longer for a better one');
    expect(mockCall).toHaveBeenLastCalledWith('movesPlan', { body: expect.objectContaining({ searchS: 12 }) });
    expect(screen.getByText('1 move, and no plan is better.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Look longer for a better one' })).toBeNull();
  });

  it('say who stays without and why, and what to buy', async () => {
    const container = { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
    const size = { id: 's', name: 'Tub', container } as unknown as MovesReply['buy'][number]['size'];
    answers.movesPlan = reply({
      unplacedWhy: [
        { resident: 'Soot', need: 'fails', why: 'no-tub' },
        { resident: 'Pip', need: 'outgrows', why: 'taken' },
      ],
      buy: [{ size, residentIds: ['Soot', 'Pip'] }],
      unserved: ['Pip'],
    });
    await show();
    await press('Work the moves out');
    for (const words of [
      'No move helps.',
      'None of your boxes fits it.',
      'Every box that would fit goes to another animal that needs it more.',
      '2 x Tub, 300 x 200 x 200 mm',
      'No usual size fits 1 of them.',
    ])
      expect(screen.getByText(words)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Settle these moves' })).toBeNull();
  });

  it('tell a plan that could not be made, and can be asked again', async () => {
    answers.movesPlan = new TypeError('x');
    await show();
    await press('Work the moves out');
    expect(useLog.getState().notice).toMatchObject({ isProblem: true });
    expect(screen.getByRole('button', { name: 'Work the moves out' })).not.toHaveProperty('disabled', true);
  });

  it('that are settled are drawn along their window, and told why not beyond it', async () => {
    answers.seasons = seasons({
      marks: [
        {
          ...{ residentId: 'Soot', kind: 'move', from: inDays(2), until: inDays(9), median: inDays(5) },
          ...{ moveId: 'm', toHomeId: 'home B3' },
        },
      ],
      closed: [{ residentId: 'Soot', from: inDays(7), until: inDays(8), why: 'moult' }],
      busyDays: [inDays(4)],
    });
    await show();
    expect(screen.getByText('A2 to B3, 19 Mar')).toBeTruthy();
    const slider = screen.getByRole('slider', { name: 'A2 to B3: day of the move' });
    const key = (name: string) => act(async () => fireEvent.keyDown(slider, { key: name }));
    await key('ArrowRight');
    expect(screen.getByText('A2 to B3, 20 Mar')).toBeTruthy();
    await key('ArrowRight');
    expect(screen.getByRole('status').textContent).toBe(
      'Not on 21 Mar: a moult is expected, or just over (21 Mar to 22 Mar).',
    );
    expect(screen.getByText('A2 to B3, 20 Mar')).toBeTruthy();
    await press('Keep 20 Mar');
    expect(written).toEqual([
      {
        ...{ kind: 'move-planned', residentId: 'Soot', toHomeId: 'home B3', moveOn: inDays(6) },
        ...{ from: inDays(2), until: inDays(9) },
      },
    ]);
    await press('Steps');
    expect(router.push).toHaveBeenCalledWith('/residents/Soot/move');
    await press('Give up');
    expect(written[1]).toEqual({ kind: 'move-dropped', residentId: 'Soot' });
  });

  it('are none in an empty house', async () => {
    useHouse.setState({ residents: [], round: { on: TODAY, stops: [], unworkable: [] } });
    await show();
    expect(screen.getByText('Nobody lives here yet: there is nobody to move.')).toBeTruthy();
  });
});

describe('a day of a move', () => {
  const window = { from: inDays(2), until: inDays(9) };
  it.each([
    [-1, [], 'that day is over'],
    [1, [], 'its window opens on 16 Mar'],
    [10, [], 'its window closes on 23 Mar'],
    [4, ['busy'], 'no keeper has time (18 Mar)'],
    [4, ['tub'], 'its new box is not free and clean before (18 Mar)'],
    [4, ['rest'], 'it is in its winter rest (18 Mar)'],
    [4, [], null],
  ] as const)('%s days from now, %p: %s', (days, closed, why) => {
    const spans = closed.map((each) => ({ from: inDays(4), until: inDays(4), why: each }));
    expect(whyNot(inDays(days), TODAY, window, spans)).toBe(why);
  });
});

it('moves stand in chains: each goes into the box that the next one leaves', () => {
  const step = (from: string | null, to: string) => ({ from, to });
  const [pip, soot, reed, fern] = [step('A1', 'A2'), step('A2', 'B3'), step('C1', 'C2'), step(null, 'A1')];
  expect(chainsOf([soot, reed, pip])).toEqual([[reed], [pip, soot]]);
  expect(chainsOf([pip, fern, soot])).toEqual([[fern, pip, soot]]);
  expect(chainsOf([])).toEqual([]);
});
