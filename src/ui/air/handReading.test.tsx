import { act, screen } from '@testing-library/react';
import { CallFailed } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import type { Home } from '@/contract/records';
import { tap, type } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { HandReading } from './HandReading';
import { NewProbe } from './NewProbe';

const mockCall = jest.fn();
jest.mock('@/client/api', () => ({
  ...jest.requireActual('@/client/api'),
  call: (name: string, input: unknown) => mockCall(name, input),
}));

const home = { id: 'h', code: 'B3' } as Home;
const sent = () => mockCall.mock.calls.map(([, input]) => (input as { body: unknown }).body);

describe('what is read by hand', () => {
  let done = 0;
  const written: object[] = [];
  const { write } = useLog.getState();
  beforeEach(() => {
    done = 0;
    written.length = 0;
    mockCall.mockReset();
    mockCall.mockResolvedValue({});
    useHouse.setState({ load: async () => undefined });
    useLog.setState({ notice: null, write: async (entry) => (written.push(entry), true) });
  });
  afterAll(() => {
    useLog.setState({ write });
    usePreferences.getState().set({ temperatureUnit: 'C' });
  });
  const show = (residentId?: string) =>
    void renderThemed(<HandReading home={home} residentId={residentId} onDone={async () => void (done += 1)} />);

  it('is sent as it was typed, comma or point, in degrees as the keeper thinks', async () => {
    show('r');
    await type('Temperature, C', '24,5');
    await type('Humidity, %', '71');
    await tap('button', 'Write it down');
    expect(sent()).toEqual([{ place: 'air', temperatureC: 24.5, relativeHumidityPct: 71 }]);
    expect([done, (screen.getByLabelText('Humidity, %') as HTMLInputElement).value]).toEqual([1, '']);
    await act(async () => usePreferences.getState().set({ temperatureUnit: 'F' }));
    await type('Temperature, F', '77');
    await tap('button', 'Write it down');
    expect(sent()[1]).toEqual({ place: 'air', temperatureC: 25 });
    await act(async () => usePreferences.getState().set({ temperatureUnit: 'C' }));
  });

  it('is refused at its field, here or by the server, and what was typed stays', async () => {
    show('r');
    await tap('button', 'Write it down');
    expect(screen.getByText('Write what you read.')).toBeTruthy();
    await type('Temperature, C', 'warm');
    await type('Humidity, %', 'damp');
    await tap('button', 'Write it down');
    expect(screen.getByText('A number of degrees.')).toBeTruthy();
    expect(screen.getByText('A number from 0 to 100.')).toBeTruthy();
    expect(mockCall).not.toHaveBeenCalled();
    await type('Temperature, C', '24');
    await type('Humidity, %', '710');
    const fields = [{ path: 'relativeHumidityPct', message: 'Must be a number of percent from 0 to 100; got 710.' }];
    mockCall.mockRejectedValueOnce(new CallFailed('Some fields need another value.', fields));
    await tap('button', 'Write it down');
    expect(screen.getByText(/got 710/)).toBeTruthy();
    expect((screen.getByLabelText('Humidity, %') as HTMLInputElement).value).toBe('710');
    expect(done).toBe(0);
  });

  it('on a surface has no humidity, not even one that was typed before', async () => {
    show('r');
    await type('Humidity, %', '71');
    await tap('radio', 'warm side');
    expect(screen.queryByLabelText('Humidity, %')).toBeNull();
    await type('Temperature, C', '29');
    await tap('button', 'Write it down');
    expect(sent()).toEqual([{ place: 'warm', temperatureC: 29 }]);
  });

  it('is a weight by the kitchen scale, or what a squeezed handful does where somebody lives', async () => {
    show('r');
    await tap('radio', 'weight');
    await tap('button', 'Write the weight down');
    expect(screen.getByText('A number of grams.')).toBeTruthy();
    await type('Weight of the box, g', '2310');
    await tap('button', 'Write the weight down');
    expect(sent()).toEqual([{ place: 'scale', massG: 2310 }]);
    await tap('radio', 'soil by hand');
    await tap('button', /^clumps/);
    expect(written).toEqual([{ kind: 'felt', residentId: 'r', wetness: expect.any(String) }]);
    expect(done).toBe(2);
  });

  it('says nothing of the soil of an empty box', () => {
    show();
    expect(screen.queryByRole('radio', { name: 'soil by hand' })).toBeNull();
  });
});

describe('a new probe', () => {
  it('is hung where it is said, and shows its token once', async () => {
    mockCall.mockReset();
    mockCall.mockResolvedValue({ probe: { name: 'B3 warm' }, token: 'a-token-of-its-own' });
    let added = 0;
    renderThemed(<NewProbe at={{ home }} suggestion="B3 air" onAdded={async () => void (added += 1)} />);
    await tap('radio', 'warm side');
    await type('What it is called', 'B3 warm');
    await tap('button', 'Add the probe');
    expect(sent()).toEqual([{ name: 'B3 warm', kind: 'device', place: 'warm', homeId: home.id }]);
    expect(screen.getByText(/a-token-of-its-own/)).toBeTruthy();
    expect(added).toBe(1);
  });

  it('of a room has no place in a box; a name that is taken is told at the name', async () => {
    mockCall.mockReset();
    const fields = [{ path: 'name', message: 'Must be another name.' }];
    mockCall.mockRejectedValue(new CallFailed('There is a probe of that name.', fields));
    renderThemed(<NewProbe at={{ roomId: 'room' }} suggestion="Boiler Room" onAdded={async () => undefined} />);
    expect(screen.queryByRole('radio', { name: 'warm side' })).toBeNull();
    await tap('radio', 'a simulated one');
    await tap('button', 'Add the probe');
    expect(sent()).toEqual([{ name: 'Boiler Room', kind: 'simulated', place: 'room', roomId: 'room' }]);
    expect(screen.getByText('Must be another name.')).toBeTruthy();
  });
});
