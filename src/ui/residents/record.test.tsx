import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useGone } from '@/client/gone';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Entry, EntryKind } from '@/contract/storedEntries';
import type { GoneResident, Home, Resident } from '@/contract/records';
import { profileOf } from '@/contract/testing/profileOf';
import { careBook } from '@/core/profiles/careBook';
import { BulkScreen } from '../screens/BulkScreen';
import { pick, tap } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { GroupHeads } from './GroupHeads';
import { History } from './History';
import { Kin } from './Kin';

const mockCall = jest.fn();
jest.mock('expo-router', () => ({ router: { push: () => undefined } }));
// What the server would answer is said by each test.
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const TODAY = '2026-03-14';
const facts = {
  source: null,
  permit: null,
  schools: {},
  forbidden: {},
  keptSo: {},
  takenInOn: '2025-03-14',
  measuredOn: TODAY,
  sexBy: null,
};
const kin = { kind: 'stick-insect', bornOn: null, motherId: null, fatherId: null, outOfId: null, batch: null };
const resident = (change: Partial<Resident>): Resident => ({
  ...{ id: 'x', called: 'X', scientificName: 'Carausius morosus', commonName: null, profile: 'stick-insect' },
  ...{ stage: 'nymph', bodyLengthMm: 30, form: 'single', sex: 'unknown', homeId: 'h' },
  ...facts,
  ...kin,
  ...change,
});
const entry = (index: number, kind: EntryKind, data: object = {}) =>
  ({
    ...{ id: `e${index}`, kind, residentId: 'x', homeId: null, on: TODAY, at: '', keeper: 'Odalys Fenn', note: null },
    ...{ data, undoneAt: null },
  }) as Entry;
const home = (id: string, code: string, shelfId: string) => ({ id, code, shelfId }) as Home;
const round = { on: TODAY, stops: [], unworkable: [] };

beforeEach(() => {
  mockCall.mockReset();
  const care = careBook([profileOf('stick-insect')], []);
  useHouse.setState({ care, round, residents: [], homes: [], shelves: [], state: 'ready' });
});

describe('history', () => {
  it('comes a page at a time, is narrowed, and each entry can be taken back', async () => {
    const undone: string[] = [];
    useLog.setState({ undo: async (id) => void undone.push(id) });
    mockCall.mockImplementation(async (_name, { query }) => {
      if (query.kinds !== undefined) return { entries: [], hasMore: false };
      return query.before === 'e1'
        ? { entries: [entry(2, 'taken-in', { stage: 'nymph' })], hasMore: false }
        : { entries: [entry(0, 'misted'), entry(1, 'moulted', { bodyLengthMm: 30 })], hasMore: true };
    });
    renderThemed(<History residentId="x" today={TODAY} />);
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(2));
    await tap('button', 'Earlier');
    expect(screen.getAllByRole('listitem')).toHaveLength(3);
    expect(screen.queryByRole('button', { name: 'Earlier' })).toBeNull();
    expect(screen.queryByText('by Odalys Fenn')).toBeNull();
    await tap('button', 'today: Moulted, length 30 mm');
    expect(screen.getByText('by Odalys Fenn')).toBeTruthy();
    await tap('button', 'Take back');
    expect(undone).toEqual(['e1']);
    await pick('Show', 'Food');
    expect(mockCall).toHaveBeenLastCalledWith('history', {
      params: { id: 'x' },
      query: { kinds: 'offered,eaten,refused,searched,calcium' },
    });
    expect(screen.getByText('Nothing of that kind was written down.')).toBeTruthy();
  });
});

describe('kin', () => {
  it('are named, here or gone, and saved as they are chosen', async () => {
    const mother = { ...resident({ id: 'm', called: 'Dam' }), leftOn: TODAY, leftBy: 'died' } as GoneResident;
    const sibling = resident({ id: 's', called: 'Twin', motherId: 'm' });
    const self = resident({ motherId: 'm', bornOn: '2026-01-02' });
    useHouse.setState({ residents: [self, sibling], load: async () => undefined });
    useGone.setState({ gone: [mother], load: async () => undefined });
    mockCall.mockResolvedValue({});
    renderThemed(<Kin resident={self} today={TODAY} />);
    await tap('button', 'Where it comes from');
    expect(screen.getByRole('button', { name: 'Dam (gone)' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Twin' })).toBeTruthy();
    expect(screen.getByText('hatched 2 Jan')).toBeTruthy();
    await tap('button', 'Write down where it comes from');
    expect(screen.getByRole('button', { name: 'Hatched on: 2 Jan 2026' })).toBeTruthy();
    await tap('button', 'No day: Hatched on');
    expect(screen.getByRole('button', { name: 'Hatched on: not known' })).toBeTruthy();
    await act(async () => fireEvent.change(screen.getByLabelText('Batch'), { target: { value: ' Spring 26 ' } }));
    await tap('button', 'Save');
    const body = { bornOn: null, batch: 'Spring 26', motherId: 'm', fatherId: null };
    expect(mockCall).toHaveBeenCalledWith('changeResident', { params: { id: 'x' }, body });
  });
});

describe('heads', () => {
  it('show instars, survival and other batches; a problem of the server in its words', async () => {
    const steps = [{ time: 20, atRisk: 10, deaths: 4, survival: 0.6, low: 0.3, high: 0.9 }];
    const survival = { steps, median: null, total: 10, deaths: 4, followed: 60 };
    const compared = [{ residentId: 'o', name: 'Last year', isHere: false, survival }];
    mockCall.mockResolvedValue({
      ...{ residentId: 'x', heads: 6, instars: { 2: 2, 3: 4 }, missing: 1, bornOn: null, survival, compared },
    });
    const { unmount } = renderThemed(<GroupHeads resident={resident({ form: 'group', headCount: 6 })} />);
    await waitFor(() => expect(screen.getByText('2 in instar 2, 4 in instar 3')).toBeTruthy());
    expect(screen.getByText('Dashed, Last year (gone): 10 came, 60 % lived on after 60 days.')).toBeTruthy();
    expect(screen.getByText(/^1 was missing/)).toBeTruthy();
    unmount();
    mockCall.mockRejectedValue(new Error('gone'));
    renderThemed(<GroupHeads resident={resident({ form: 'group', headCount: 6 })} />);
    await waitFor(() => expect(screen.getByText(/Something went wrong in this page/)).toBeTruthy());
  });
});

describe('many at once', () => {
  it('leaves out whoever is left alone, and writes the rest as one act', async () => {
    const leaveAlone = { code: 'hardening' as const, feedFrom: '2026-03-20' };
    useHouse.setState({
      shelves: [{ id: 's', name: 'Shelf B', room: 'R', position: 1, loadLimitKg: null, roomId: 'room' }],
      homes: [home('h1', 'B1', 's'), home('h2', 'B2', 's'), home('h3', 'B3', 's')],
      residents: ['1', '2', '3'].map((name) => resident({ id: `r${name}`, called: `N${name}`, homeId: `h${name}` })),
      round: {
        on: TODAY,
        unworkable: [],
        stops: [{ residentId: 'r2', homeId: 'h2', shelfId: 's', jobs: [], waiting: [], leaveAlone }],
      },
    });
    const written: { entries: object[]; text: string }[] = [];
    useLog.setState({
      writeMany: async (entries, text) => {
        written.push({ entries, text });
        return true;
      },
    });
    renderThemed(<BulkScreen />);
    await tap('radio', 'Shelf B');
    expect(screen.getByText(/^Left alone: B2 N2, hardening, food from/)).toBeTruthy();
    await tap('checkbox', 'Done to: B3 N3');
    await tap('button', 'Write down: 1 fed');
    expect(written).toEqual([{ entries: [{ kind: 'offered', residentId: 'r1' }], text: 'Shelf B: 1 fed.' }]);
    // Water is not withheld from anybody.
    await tap('radio', 'Dish filled');
    expect(screen.queryByText(/^Left alone/)).toBeNull();
    await tap('button', 'Write down: 2 watered');
    expect(written[1]?.entries).toHaveLength(2);
  });
});
