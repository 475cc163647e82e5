import { act, fireEvent, screen } from '@testing-library/react';
import { CallFailed } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useSchools } from '@/client/schools';
import type { SchoolEffect } from '@/contract/handbook';
import type { Home, Resident, Shelf } from '@/contract/records';
import { shippedProfiles, shippedSpecies } from '@/contract/shipped';
import { careBook } from '@/core/profiles/careBook';
import { SchoolsScreen } from '../screens/SchoolsScreen';
import { tap } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { CONTRADICTION_WORDS } from '@/words/schools';

jest.mock('expo-router', () => ({ router: { push: () => undefined } }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const resident = (id: string, profile: string) =>
  ({
    id,
    called: id,
    scientificName: 'Tliltocatl albopilosus',
    profile,
    homeId: 'h',
    schools: {},
  }) as unknown as Resident;
const change = { work: [], minutesBefore: 600, minutesAfter: 420, checks: [], meal: null, openings: null };
const effect = (...ids: string[]): SchoolEffect => ({
  residents: ids.map((residentId) => ({
    ...{ residentId, before: 'small-and-often', after: 'large-and-rarely', contradictions: [] },
    change: { ...change, work: [{ kind: 'feed', timesBefore: 26, timesAfter: 12 }] },
  })),
  ...{ minutesBefore: 600, minutesAfter: 420 },
});

describe('the schools', () => {
  let answers: Record<string, unknown>;
  const asked = (name: string) => mockCall.mock.calls.filter(([each]) => each === name).map(([, input]) => input);
  beforeEach(() => {
    answers = { schoolChoices: { choices: [] }, chooseSchool: { choices: [] }, schoolEffect: effect('Bramble') };
    mockCall.mockReset();
    mockCall.mockImplementation(async (name: string) => {
      const answer = answers[name];
      if (answer instanceof Error) throw answer;
      return answer;
    });
    useSchools.setState({ choices: null });
    useHouse.setState({
      ...{
        care: careBook(shippedProfiles, shippedSpecies),
        state: 'ready',
        round: { on: '2026-03-14', stops: [], unworkable: [] },
      },
      load: async () => undefined,
      residents: [resident('Bramble', 'ground-tarantula'), resident('Coil', 'millipede-tropical')],
      homes: [{ id: 'h', code: 'B3', shelfId: 's' } as unknown as Home],
      shelves: [{ id: 's', roomId: 'room', room: 'Boiler Room' } as unknown as Shelf],
    });
  });
  const show = () => act(async () => void renderThemed(<SchoolsScreen />));

  it('stand with the reasons of both sides, of the kinds that live here, before anything is chosen', async () => {
    await show();
    expect(screen.getByRole('heading', { name: 'Openings' })).toBeTruthy();
    expect(screen.getByText('Small and often, the usual')).toBeTruthy();
    expect(screen.getByText('One bigger meal a month is less work and fewer openings of the box.')).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'Egg for snails' })).toBeNull();
    expect(screen.queryByRole('radio', { name: 'Large and rarely' })).toBeNull();
  });

  it('show what they change before they do, and are left without a trace', async () => {
    await show();
    await tap('radio', 'Ground tarantula');
    await tap('radio', 'Large and rarely');
    const wanted = { scope: 'kind', about: 'ground-tarantula', topic: 'feeding', school: 'large-and-rarely' };
    expect(mockCall).toHaveBeenLastCalledWith('schoolEffect', { body: wanted });
    expect(screen.getByText('1 resident, 3 hours less work a year.')).toBeTruthy();
    expect(screen.getByText('to feed: 12 times a year instead of 26.')).toBeTruthy();
    await tap('button', 'Leave it');
    expect(screen.queryByText('What would change')).toBeNull();
    expect(asked('chooseSchool')).toEqual([]);
    await tap('radio', 'Large and rarely');
    await tap('button', 'Keep it so');
    expect(asked('chooseSchool')).toEqual([{ body: wanted }]);
    expect(useLog.getState().notice).toEqual({ text: 'Meals: large and rarely, for every ground tarantula.' });
  });

  it('for a room are what its kinds know; many are summed up, what pulls apart is told once', async () => {
    const many = effect('Bramble', 'Coil', 'Bramble', 'Coil', 'Bramble', 'Coil');
    for (const each of many.residents) each.contradictions = ['hungry-between'];
    answers.schoolEffect = {
      ...many,
      residents: many.residents.map((each, index) => ({ ...each, residentId: `${index}` })),
    };
    await show();
    await tap('radio', 'Boiler Room');
    await tap('radio', 'Large and rarely');
    expect(screen.getByText('and 2 more')).toBeTruthy();
    expect(
      screen.getAllByText(`Against each other: ${CONTRADICTION_WORDS['hungry-between']} Both are kept as you choose.`),
    ).toHaveLength(1);
  });

  it('cannot be kept before what they change is known', async () => {
    answers.schoolEffect = new CallFailed('The server does not answer.', [], true);
    await show();
    await tap('radio', 'Ground tarantula');
    await tap('radio', 'Large and rarely');
    expect(screen.getByText('The server does not answer.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Keep it so' })).toHaveProperty('disabled', true);
  });

  it('that were chosen before can be given up again', async () => {
    const choice = { scope: 'kind', about: 'ground-tarantula', topic: 'feeding', school: 'large-and-rarely' };
    answers.schoolChoices = { choices: [choice] };
    answers.schoolEffect = effect();
    await show();
    await tap('radio', 'Ground tarantula');
    expect(screen.getByRole('radio', { name: 'Large and rarely', checked: true })).toBeTruthy();
    const feeding = screen.getByRole('radiogroup', { name: 'Meals' });
    const before = Array.from(feeding.querySelectorAll('[role=radio]')).find(
      (each) => each.textContent === 'as before',
    );
    await act(async () => fireEvent.click(before as Element));
    expect(mockCall).toHaveBeenLastCalledWith('schoolEffect', { body: { ...choice, school: null } });
    expect(screen.getByText('Nothing: nobody is kept otherwise by it.')).toBeTruthy();
  });
});
