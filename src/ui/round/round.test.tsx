import { act, fireEvent, screen } from '@testing-library/react';
import { CallFailed } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useQueue } from '@/client/queue';
import type { Resident } from '@/contract/records';
import type { Stop } from '@/contract/round';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { careBook } from '@/core/profiles/careBook';
import { NoticeBar } from '../components/NoticeBar';
import { renderThemed } from '../testing/themed';
import { StopPlace } from './StopPlace';
import { tub } from '../testing/tub';

const mockCall = jest.fn();
jest.mock('expo-router', () => ({ router: { push: () => undefined } }));
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const TODAY = '2026-03-14';
const KIND = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 90 };
const resident = {
  id: 'r',
  called: 'Bramble',
  scientificName: 'Tliltocatl albopilosus',
  homeId: 'h',
  ...KIND,
} as Resident;
const home = tub('B3', { id: 'h' });
const prey = { food: 'field-cricket-large', count: 2, lengthMm: 20, massG: 0.78 };
const stop: Stop = {
  ...{ residentId: 'r', homeId: 'h', shelfId: 's', leaveAlone: null, waiting: [] },
  jobs: [
    {
      ...{ kind: 'feed', dueOn: '2026-03-13', until: '2026-03-16', cannotWait: false, minutes: 2 },
      reason: { code: 'since-last', days: 14, on: '2026-02-28' },
      meal: { eats: 'prey', dishes: [prey], maxLengthMm: 22.3, cautions: [] },
    },
  ],
};

/** The row as the walk shows it, with whatever the house says of it now. */
function Walk() {
  const now = useHouse((house) => house.round?.stops[0]);
  return (
    <>
      {now ? <StopPlace id="row" stop={now} today={TODAY} isChosen={false} /> : null}
      <NoticeBar />
    </>
  );
}

const sent = () => mockCall.mock.calls.filter(([name]) => name === 'addEntries').map(([, input]) => input.body.entries);
const tap = (name: string | RegExp) => act(async () => fireEvent.click(screen.getByRole('button', { name })));
const isDone = () => screen.queryByRole('checkbox', { name: /^B3: 2 large field crickets/ })?.ariaChecked ?? null;

beforeEach(() => {
  mockCall.mockReset();
  useHouse.setState({
    ...{ care: careBook([profileOf('ground-tarantula')], []), residents: [resident], homes: [home], state: 'ready' },
    ...{ feeders: [...shippedFeeders], foods: [...shippedFoods], round: { on: TODAY, stops: [stop], unworkable: [] } },
    load: async () => undefined,
  });
  useLog.setState({ notice: null, sending: [] });
  useQueue.setState({ acts: [], conflicts: [], isSending: false });
  renderThemed(<Walk />);
});

describe('prey at the box', () => {
  it('taken is one tap: the offer and what came of it, shown before the server has answered', async () => {
    mockCall.mockReturnValue(new Promise(() => undefined));
    await tap('B3: taken');
    expect(screen.getByRole('checkbox', { name: /^B3: 2 large/ }).getAttribute('aria-checked')).toBe('true');
    expect(screen.getByText('B3: taken.')).toBeTruthy();
    // Until the server has it, that is said.
    expect(screen.getByText('saving…')).toBeTruthy();
    const [[offered, eaten]] = sent();
    expect(offered).toMatchObject({ kind: 'offered', residentId: 'r', answers: 'feed 2026-03-13', dishes: [prey] });
    expect(eaten).toMatchObject({ kind: 'eaten', residentId: 'r', answers: `meal ${offered.id}` });
  });

  it('is named for whom it is, where another lives in the same box', async () => {
    mockCall.mockReturnValue(new Promise(() => undefined));
    await act(async () => useHouse.setState({ residents: [resident, { ...resident, id: 'other' }] }));
    await tap('B3, Bramble: taken');
    expect(screen.getByText('B3, Bramble: taken.')).toBeTruthy();
  });

  it('left in is the offer alone, refused is both', async () => {
    mockCall.mockResolvedValue({ entries: [] });
    await tap('B3: left in');
    await act(async () => useHouse.getState().markJob('r', 'feed', {}));
    await tap('B3: refused');
    expect(sent().map((entries) => entries.map((each: { kind: string }) => each.kind))).toEqual([
      ['offered'],
      ['offered', 'refused'],
    ]);
  });

  it('is kept while the server is away, and sent as it was, once, when it is back', async () => {
    mockCall.mockRejectedValueOnce(new CallFailed('The server does not answer.', [], true));
    await tap('B3: taken');
    expect(screen.getByText('Kept on this phone, not sent yet.')).toBeTruthy();
    const [first] = sent();
    mockCall.mockImplementation(async (_name, { body }) => ({
      results: body.acts.map(({ id }: { id: string }) => ({ id, outcome: 'written' })),
    }));
    await act(async () => void (await useQueue.getState().send()));
    await act(async () => void (await useQueue.getState().send()));
    expect(screen.queryByText('Kept on this phone, not sent yet.')).toBeNull();
    const replayed = mockCall.mock.calls.filter(([name]) => name === 'replayEntries').map(([, { body }]) => body.acts);
    expect(replayed).toEqual([[expect.objectContaining({ entries: first, heardOn: TODAY })]]);
  });

  it('that was kept and is refused later is told, with what the server said', async () => {
    mockCall.mockRejectedValueOnce(new CallFailed('The server does not answer.', [], true));
    await tap('B3: taken');
    const [kept] = useQueue.getState().acts;
    const results = [{ id: kept?.id, outcome: 'refused', message: 'It has left.' }];
    mockCall.mockResolvedValueOnce({ results });
    await act(async () => void (await useQueue.getState().send()));
    expect(useQueue.getState()).toMatchObject({
      acts: [],
      conflicts: [{ text: 'B3: taken.', message: 'It has left.' }],
    });
  });

  it('is open again when the server refuses it, with the reason', async () => {
    mockCall.mockRejectedValueOnce(new CallFailed('It is left alone now.'));
    await tap('B3: taken');
    expect(screen.getByText('It is left alone now.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'B3: taken' })).toBeTruthy();
    expect(isDone()).toBeNull();
  });

  it('of which another keeper was first is said to be written once', async () => {
    mockCall.mockResolvedValueOnce({ entries: [], already: { keeper: 'Odalys Fenn' } });
    await tap('B3: taken');
    expect(screen.getByText('Odalys Fenn had logged this already. It is written once.')).toBeTruthy();
  });
});
