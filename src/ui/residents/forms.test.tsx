import { screen, waitFor } from '@testing-library/react';
import { router } from 'expo-router';
import { CallFailed } from '@/client/api';
import { refusedFields } from '@/contract/refusedFields';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import type { Resident } from '@/contract/records';
import { shippedFeeders, shippedFoods, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { Meal } from '@/core/feeding/food';
import type { LeaveAlone } from '@/core/plan/work';
import { careBook } from '@/core/profiles/careBook';
import { MealForm } from '../feeding/MealForm';
import { openList, pick, tap, type } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { NoteDown } from './NoteDown';
import { tub } from '../testing/tub';

let mockQuery: { write?: string } = {};
jest.mock('expo-router', () => ({ router: { push: jest.fn() }, useLocalSearchParams: () => mockQuery }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const TODAY = '2026-03-14';
const nothing = {
  kind: 'stick-insect',
  commonName: null,
  sexBy: null,
  bornOn: null,
  motherId: null,
  fatherId: null,
  outOfId: null,
};
const resident = (change: Partial<Resident> = {}): Resident => ({
  ...{ id: 'r', called: 'Hedge', scientificName: 'Carausius morosus', profile: 'stick-insect', stage: 'nymph' },
  ...{ bodyLengthMm: 30, form: 'group', headCount: 15, sex: 'unknown', homeId: 'h', takenInOn: '2025-03-14' },
  ...{ measuredOn: TODAY, source: null, permit: null, schools: {}, forbidden: {}, keptSo: {}, batch: null },
  ...nothing,
  ...change,
});
const tubOf = (code: string, residentIds: string[] = []) =>
  tub(code, { ...(code === 'C1' && { id: 'h' }), residentIds });

describe('what is written down', () => {
  const written: { text: string; entries: object[] }[] = [];
  const kept = useLog.getState();
  let isTaken = true;
  beforeEach(() => {
    written.length = 0;
    isTaken = true;
    mockQuery = {};
    // What a form looks up beside what it writes has not come yet.
    mockCall.mockReset().mockImplementation(() => new Promise(() => undefined));
    jest.mocked(router.push).mockClear();
    usePreferences.getState().set({ keeper: '' });
    useLog.setState({
      notice: null,
      write: async (entry, text) => (written.push({ text, entries: [entry] }), isTaken),
      writeMany: async (entries, text) => (written.push({ text, entries }), isTaken),
    });
    useHouse.setState({
      ...{ residents: [resident()], homes: [tubOf('C1', ['r']), tubOf('C2')], shelves: [], state: 'ready' },
      ...{ round: { on: TODAY, stops: [], unworkable: [] }, care: careBook(shippedProfiles, shippedSpecies) },
      ...{ feeders: [...shippedFeeders], foods: [...shippedFoods], load: async () => undefined },
    });
  });
  afterAll(() => useLog.setState({ write: kept.write, writeMany: kept.writeMany }));

  const open = async (who: Resident, what?: string) => {
    const shown = renderThemed(<NoteDown resident={who} />);
    if (what !== undefined) await pick('What to write down', what);
    return shown;
  };
  const isOpen = (label: string | RegExp) => screen.queryByLabelText(label) !== null;

  it('is what its form and kind can have, and nothing else', async () => {
    const asked = async (who: Resident) => {
      const { unmount } = renderThemed(<NoteDown resident={who} />);
      await openList('What to write down');
      const titles = screen.getAllByRole('radio').map((each) => each.textContent);
      unmount();
      return titles;
    };
    expect(await asked(resident({ form: 'eggs', stage: 'egg' }))).toEqual([
      ...['They hatched', 'A size or a count', 'A note', 'A photo', 'Take some out', 'Some left'],
    ]);
    expect(await asked(resident({ form: 'single' }))).not.toContain('Eggs found');
    const snail = resident({ form: 'single', profile: 'land-snail', scientificName: 'Lissachatina fulica' });
    expect(await asked(snail)).toContain('Eggs found');
    const moth = { profile: 'moth-tropical', scientificName: 'Actias luna', stage: 'adult' } as const;
    expect(await asked(resident({ form: 'single', ...moth }))).toContain('Paired tonight');
    // What it has behind it, or never does, is not offered.
    expect(await asked(resident({ form: 'single', ...moth }))).not.toContain('It moulted');
    expect(await asked(snail)).not.toContain('It moulted');
    expect(await asked(resident({ ...moth, form: 'group', stage: 'larva' }))).toEqual(
      expect.arrayContaining(['Some moulted', 'Pupated']),
    );
    expect(await asked(resident({ ...moth, form: 'group', stage: 'pupa' }))).toContain('Came out');
  });

  it('of cocoons says on which day all of them came out', async () => {
    const cocoons = { profile: 'moth-tropical', scientificName: 'Actias luna', stage: 'pupa', form: 'group' } as const;
    await open(resident(cocoons), 'Came out');
    await tap('radio', 'Yesterday');
    await tap('button', 'Write down');
    expect(written.map((each) => each.entries)).toEqual([
      [{ kind: 'moulted', residentId: 'r', stage: 'adult', on: '2026-03-13' }],
    ]);
  });

  it('opens with what the walk asks for', async () => {
    Element.prototype.scrollIntoView = () => undefined;
    mockQuery = { write: 'instars' };
    await open(resident());
    expect(isOpen('How many of the 15 are there now')).toBe(true);
  });

  it('of a group is said as it is counted; what is no number is refused at its field', async () => {
    await open(resident(), 'Some moulted');
    await type('How many of the 15 are there now', 'twelve');
    await type('In which instar', '999');
    await tap('button', 'Write down');
    expect(screen.getByText('A whole number from 1 up.')).toBeTruthy();
    expect(screen.getByText(/^A whole number from 1 to \d+\.$/)).toBeTruthy();
    expect(written).toEqual([]);
    // Beside the act stands what is wrong, and leads there.
    expect(screen.getByText('2 fields to put right')).toBeTruthy();
    await tap('button', 'Go to “In which instar”');
    await waitFor(() => expect(document.activeElement?.getAttribute('aria-label')).toBe('In which instar'));
    await type('How many of the 15 are there now', '11');
    await tap('button', 'One more: How many of the 15 are there now');
    expect(screen.getByText('1 field to put right')).toBeTruthy();
    await type('In which instar', '4');
    expect(screen.queryByText(/to put right/)).toBeNull();
    await tap('radio', 'Another day');
    await tap('button', 'Write down');
    expect(screen.getByText('Choose the day.')).toBeTruthy();
    expect(written).toEqual([]);
    await tap('radio', 'Yesterday');
    await tap('button', 'Write down');
    expect(written).toEqual([
      {
        text: 'Hedge: 12 in instar 4.',
        entries: [{ kind: 'moulted', residentId: 'r', count: 12, instar: 4, on: '2026-03-13' }],
      },
    ]);
    expect(isOpen('In which instar')).toBe(false);
  });

  it('stays open with what was typed when it is refused', async () => {
    isTaken = false;
    await open(resident(), 'A note');
    await tap('button', 'Write down');
    expect(screen.getByText('Write what you noticed.')).toBeTruthy();
    await type('What you noticed', '  climbs at night ');
    await tap('button', 'Write down');
    expect(written[0]?.entries).toEqual([{ kind: 'noted', residentId: 'r', note: 'climbs at night' }]);
    expect(screen.getByLabelText('What you noticed')).toHaveProperty('value', '  climbs at night ');
  });

  it('tells what the server refuses at the field it names, and of none at the act', async () => {
    const refuse = (error: CallFailed) =>
      useLog.setState({
        write: (_entry, _text, place) => {
          place?.(error);
          return Promise.resolve(false);
        },
      });
    refuse(new CallFailed('Not so.', [{ path: 'bodyLengthMm', message: 'At most 60 mm.' }]));
    await open(resident({ form: 'eggs', stage: 'egg' }), 'They hatched');
    await type('How many hatched', '8');
    await tap('button', 'Write down');
    expect(screen.getByText('At most 60 mm.')).toBeTruthy();
    // The message is one of its own, and so is told too.
    expect(screen.getByText('Not so.')).toBeTruthy();
    expect(screen.getByText('1 field to put right')).toBeTruthy();
    refuse(
      new CallFailed(refusedFields(2), [
        { path: 'headCount', message: 'More than were laid.' },
        { path: 'insist', message: 'Not asked for here.' },
      ]),
    );
    await type(/of one, mm$/, '5');
    await tap('button', 'Write down');
    expect(screen.getByText('More than were laid.')).toBeTruthy();
    expect(screen.getByText('Not asked for here.')).toBeTruthy();
    expect(screen.queryByText(refusedFields(2))).toBeNull();
    refuse(new CallFailed('The server does not answer.', [], true));
    await type('How many hatched', '8');
    await type(/of one, mm$/, '6');
    await tap('button', 'Write down');
    expect(screen.getByText('The server does not answer.')).toBeTruthy();
    expect(screen.getByLabelText('How many hatched')).toHaveProperty('value', '8');
  });

  it('of eggs: how many hatched, and how long one is where it was measured', async () => {
    await open(resident({ form: 'eggs', stage: 'egg' }), 'They hatched');
    await type('How many hatched', '8');
    await type(/of one, mm$/, 'long');
    await tap('button', 'Write down');
    expect(written).toEqual([]);
    await type(/of one, mm$/, '11,5');
    await tap('button', 'Write down');
    expect(written[0]?.entries).toEqual([{ kind: 'hatched', residentId: 'r', headCount: 8, bodyLengthMm: 11.5 }]);
  });

  it('some go to a box of their own: where they fit, under a name, told when that cannot be', async () => {
    await open(resident(), 'Take some out');
    expect(screen.getByRole('button', { name: 'Choose a box first' })).toHaveProperty('disabled', true);
    await type('How many to take out', '5');
    await type('What you call them, if anything', ' Offcuts ');
    await tap('radio', /^C2/);
    mockCall.mockRejectedValueOnce(new CallFailed('There are only 4.', []));
    await tap('button', 'Move to C2');
    expect(screen.getByText('There are only 4.')).toBeTruthy();
    expect(router.push).not.toHaveBeenCalled();
    mockCall.mockResolvedValueOnce({ resident: { id: 'new' }, entry: { id: 'e' } });
    await tap('button', 'Move to C2');
    expect(mockCall).toHaveBeenLastCalledWith('partResident', {
      params: { id: 'r' },
      body: { count: 5, homeId: 'home C2', stage: 'nymph', called: 'Offcuts' },
    });
    expect(useLog.getState().notice).toMatchObject({ text: '5 moved to C2.', action: { title: 'Undo' } });
    expect(router.push).toHaveBeenCalledWith('/residents/new');
  });

  it('two groups of a kind are made one; of another kind none is offered', async () => {
    const twin = resident({ id: 's', called: 'Twins', homeId: 'home C2' });
    const other = resident({ id: 'o', called: 'Leaves', scientificName: 'Phyllium philippinicum' });
    useHouse.setState({ residents: [resident(), twin, other] });
    await open(resident(), 'Join another group');
    expect(screen.queryByRole('radio', { name: /Leaves/ })).toBeNull();
    await tap('radio', 'C2 Twins');
    mockCall.mockResolvedValueOnce({ entry: { id: 'e' } });
    await tap('button', 'Make them one');
    expect(mockCall).toHaveBeenCalledWith('joinResident', { params: { id: 'r' }, body: { otherId: 's' } });
    expect(useLog.getState().notice).toMatchObject({ text: 'Hedge: joined.' });
  });

  it('a moth is paired with one of the other sex, and not among its own where all are of one', async () => {
    const moth = { profile: 'moth-tropical', scientificName: 'Actias luna', stage: 'adult' } as const;
    const of = (id: string, sex: Resident['sex'], form: 'single' | 'group' = 'single') =>
      resident({ ...moth, id, sex, form, called: id });
    const them = [
      of('Ada', 'female'),
      of('Bea', 'female'),
      of('Cox', 'male'),
      of('Dot', 'unknown'),
      of('Eve', 'female', 'group'),
    ];
    useHouse.setState({ residents: them });
    const offered = async (who: Resident) => {
      const { unmount } = await open(who, 'Paired tonight');
      const names = screen.queryAllByRole('radio').map((each) => each.textContent);
      unmount();
      return names;
    };
    expect(await offered(of('Ada', 'female'))).toEqual(expect.arrayContaining(['Cox', 'Dot']));
    expect(await offered(of('Ada', 'female'))).not.toContain('Bea');
    expect(await offered(of('Eve', 'female', 'group'))).not.toContain('each other');
    expect(await offered(of('Fly', 'unknown', 'group'))).toContain('each other');
    useHouse.setState({ residents: [of('Ada', 'female'), of('Bea', 'female')] });
    await open(of('Ada', 'female'), 'Paired tonight');
    expect(screen.getByText(/^No other grown Actias luna/)).toBeTruthy();
  });

  it('its sex is told by what its kind shows first, with what to look for', async () => {
    const spider = { profile: 'ground-tarantula', scientificName: 'Tliltocatl albopilosus', legSpanMm: 90 };
    await open(resident({ form: 'single', called: 'Bramble', ...spider }), 'Its sex');
    expect(screen.getByRole('button', { name: 'Told by: its shed skin' })).toBeTruthy();
    // What nobody knows yet is not written down as told.
    expect(screen.queryByRole('radio', { name: 'unknown' })).toBeNull();
    await tap('button', 'Write down');
    expect(written).toEqual([]);
    await tap('radio', 'female');
    await tap('button', 'Write down');
    expect(written).toEqual([
      {
        text: 'Bramble: female, by its shed skin.',
        entries: [{ kind: 'sexed', residentId: 'r', sex: 'female', by: 'shed-skin' }],
      },
    ]);
  });

  it('a sign is one tap, the ones it is left alone for before the others', async () => {
    const spider = { profile: 'ground-tarantula', scientificName: 'Tliltocatl albopilosus', stage: 'adult' } as const;
    await open(resident({ form: 'single', ...spider }), 'A sign');
    await pick('Sign of a moult', 'bald patch dark');
    expect(written[0]?.entries).toEqual([{ kind: 'sign', residentId: 'r', sign: 'bald-patch-dark' }]);
  });

  describe('a meal of another kind', () => {
    const prey = shippedFeeders.flatMap(({ classes }) =>
      classes.filter(({ isFood, lengthMm }) => isFood && lengthMm < 20),
    );
    const [small] = prey.sort((a, b) => a.lengthMm - b.lengthMm);
    const spider = resident({
      ...{ form: 'single', called: 'Bramble', profile: 'ground-tarantula', scientificName: 'Tliltocatl albopilosus' },
      ...{ stage: 'adult', legSpanMm: 118 },
    });
    const meal = { eats: 'prey', dishes: [{ food: small?.id, count: 1 }], maxLengthMm: 22 } as unknown as Meal;
    const leaveAlone: LeaveAlone = {
      ...{ code: 'premoult', signs: ['dull'], since: '2026-03-10', premoultPct: 80, endsOn: '2026-04-09' },
    };
    const amount = () => screen.getByLabelText('How many') as HTMLInputElement;

    it('is a whole number of prey that it can take, with what came of it; a second tap is no second meal', async () => {
      renderThemed(<MealForm resident={spider} meal={meal} />);
      const offered = screen.getAllByRole('radio').map((each) => each.textContent ?? '');
      expect(offered.some((each) => /bramble/i.test(each))).toBe(false);
      await type('How many', '1.5');
      await tap('button', 'Write down the meal');
      expect(screen.getByText('How many, as a whole number from 1 up.')).toBeTruthy();
      await type('How many', '2');
      await tap('radio', 'refused');
      await tap('button', 'Write down the meal');
      const [offer, outcome] = (written[0]?.entries ?? []) as { id: string; answers?: string; insist?: boolean }[];
      expect(offer).toMatchObject({ kind: 'offered', residentId: 'r', dishes: [{ food: small?.id, count: 2 }] });
      expect(offer?.insist).toBeUndefined();
      expect(outcome).toMatchObject({ kind: 'refused', answers: `meal ${offer?.id}` });
      expect(amount().value).toBe('');
    });

    it('for one that is left alone is asked about first, and marked', async () => {
      useHouse.setState({ round: { on: TODAY, stops: [{ residentId: 'r', jobs: [], leaveAlone }] } as never });
      renderThemed(<MealForm resident={spider} meal={meal} />);
      await type('How many', '1');
      await tap('button', 'Write down the meal');
      expect(written).toEqual([]);
      expect(screen.getByText(/prey can hurt it/)).toBeTruthy();
      isTaken = false;
      await tap('button', 'Write down all the same');
      expect(written[0]?.entries[0]).toMatchObject({ kind: 'offered', insist: true });
      expect(amount().value).toBe('1');
    });

    it('of leaves is cuttings, weighed by what one weighs', async () => {
      const leaf = shippedFoods.find(({ kind }) => kind === 'leaf');
      const leaves = { eats: 'leaves', dishes: [{ food: leaf?.id, massG: 5 }] } as unknown as Meal;
      renderThemed(<MealForm resident={resident()} meal={leaves} />);
      await type('How many cuttings', '3');
      await tap('button', 'Write down the meal');
      const [entry] = (written[0]?.entries ?? []) as { dishes: { food: string; count: number; massG: number }[] }[];
      expect(entry?.dishes[0]).toMatchObject({ food: leaf?.id, count: 3 });
      expect(entry?.dishes[0]?.massG).toBeGreaterThan(0);
    });
  });
});
