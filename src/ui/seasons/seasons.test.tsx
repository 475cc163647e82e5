import { act, fireEvent, screen } from '@testing-library/react';
import { router } from 'expo-router';
import { useHouse } from '@/client/house';
import type { Brood, BroodBoard as Broods } from '@/contract/broods';
import type { RestBoard as Rests } from '@/contract/rest';
import type { ColonyBoard as Colonies } from '@/contract/colony';
import type { Home, Resident } from '@/contract/records';
import { shippedEggs, shippedMoths, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import type { EggKind } from '@/core/broods/eggs';
import { meeting, type MothKind } from '@/core/broods/emergence';
import { hatchForecast } from '@/core/broods/hatch';
import { broodOf } from '@/contract/testing/brood';
import { surplusPlan } from '@/core/broods/surplus';
import { addDays } from '@/core/measure/day';
import { careBook } from '@/core/profiles/careBook';
import { renderThemed } from '../testing/themed';
import { BroodBoard } from './BroodBoard';
import { ColonyBoard } from './ColonyBoard';
import { RestBoard } from './RestBoard';
import { tub } from '../testing/tub';

jest.mock('expo-router', () => ({ router: { push: jest.fn() } }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({ ...jest.requireActual('@/client/api'), call: () => mockCall() }));

const TODAY = '2026-10-01';
const one = (id: string, scientificName: string, profile: string, change: Partial<Resident> = {}) =>
  ({
    id,
    called: id,
    scientificName,
    profile,
    form: 'colony',
    homeId: `home of ${id}`,
    schools: {},
    stage: 'adult',
    ...change,
  }) as Resident;
const RESIDENTS = [
  one('Ember', 'Myrmica rubra', 'ant-small-temperate'),
  one('Timber', 'Camponotus ligniperda', 'ant-large-mediterranean'),
  one('Swifts', 'Porcellio laevis', 'isopod-temperate', { form: 'group' }),
  one('Second', 'Porcellio laevis', 'isopod-temperate', { form: 'group' }),
  one('Eggs', 'Carausius morosus', 'stick-insect', { form: 'eggs', stage: 'egg' }),
];
beforeEach(() => {
  jest.mocked(router.push).mockClear();
  useHouse.setState({
    round: { on: TODAY, stops: [], unworkable: [] },
    residents: RESIDENTS,
    homes: RESIDENTS.map(({ id, homeId }, index) =>
      tub(`H${index}`, { id: homeId, residentIds: [id] } as Partial<Home>),
    ),
    care: careBook([...shippedProfiles], [...shippedSpecies]),
    state: 'ready',
  });
});
const show = async (board: React.ReactElement, answer: Rests | Broods | Colonies) => {
  mockCall.mockResolvedValue(answer);
  await act(async () => renderThemed(board));
};

describe('who rests', () => {
  const row = (residentId: string, change: Partial<Rests['rests'][number]>): Rests['rests'][number] => ({
    ...{ residentId, need: 'must', why: 'Cold sets her clock.', beginsOn: '2026-10-28', endsOn: '2027-03-03' },
    ...{ phase: null, targetC: null, next: null, alarms: 0 },
    ...change,
  });
  it('comes first, then who needs to and has no plan; those that must not are folded away with the reason', async () => {
    await show(<RestBoard />, {
      asOf: TODAY,
      rests: [
        row('Timber', {}),
        row('Ember', { phase: 'cold', targetC: 6, next: { on: '2026-10-05', what: 'check' }, alarms: 1 }),
        row('Swifts', { need: 'never', why: 'Room temperature suits it.', beginsOn: null, endsOn: null }),
      ],
    });
    const names = screen.getAllByRole('link').map((link) => link.getAttribute('aria-label'));
    expect(names).toEqual(['Open H0, Ember', 'Open H1, Timber']);
    expect(screen.getByText('In the cold, 6 C, over about 3 Mar 2027')).toBeTruthy();
    expect(screen.getByText('Its place is not as it should be: look now.')).toBeTruthy();
    expect(screen.getByText('Needs a rest, nothing planned')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Must not be cooled: 1' }));
    expect(screen.getByText('Room temperature suits it.')).toBeTruthy();
    fireEvent.click(screen.getByRole('link', { name: 'Open H1, Timber' }));
    expect(router.push).toHaveBeenCalledWith('/residents/Timber/rest');
  });
});

describe('what hatches', () => {
  const kind = shippedEggs.find((each) => each.profiles.includes('stick-insect')) as EggKind;
  const luna = shippedMoths.find((each) => each.profiles.includes('moth-tropical')) as MothKind;
  const laid = {
    eggs: 80,
    laidFrom: addDays(TODAY, -100),
    laidTo: addDays(TODAY, -80),
    mating: 'mated' as const,
    temperatureC: 21,
  };
  const forecast = hatchForecast({ kind, asOf: TODAY, ...laid });
  const brood = (change: Partial<Brood>): Brood => ({ ...broodOf('Eggs', kind, laid, TODAY), ...change });

  it('is shown by its weeks, and what has no plan yet is said first', async () => {
    await show(<BroodBoard />, { asOf: TODAY, broods: [brood({})], layers: [], flights: [] });
    expect(screen.getByText(/^One batch has no plan yet for what hatches\. .* never release\.$/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^Hatching .* of 80 eggs$/ })).toBeTruthy();
  });

  it('with a plan says how many eggs to freeze; where nothing goes on, or nothing can hatch, that is said', async () => {
    const surplus = surplusPlan(kind, 80, forecast.expected, { keep: 10, passOn: 5, feedOff: 0 });
    const cold = hatchForecast({ kind, asOf: TODAY, ...laid, temperatureC: 4 });
    await show(<BroodBoard />, {
      asOf: TODAY,
      broods: [
        brood({ surplus }),
        brood({ residentId: 'Second', forecast: cold, surplus }),
        brood({
          residentId: 'Swifts',
          forecast: null,
          problem: 'Eggs of this kind do not hatch without a male: freeze them.',
        }),
      ],
      layers: [],
      flights: [],
    });
    expect(screen.getAllByText(/^10 to keep, 5 to pass on: freeze \d+ eggs now\./)).toHaveLength(2);
    expect(screen.getByText('Too cold here for anything to go on in them')).toBeTruthy();
    expect(screen.getByText(/do not hatch without a male/)).toBeTruthy();
    expect(screen.queryByText(/no plan yet/)).toBeNull();
  });

  it('of moths says when each sex comes out, which to hold back, and the night to pair', async () => {
    const cocoons = [
      { id: 'a', sex: 'female' as const, on: addDays(TODAY, -3), count: 3 },
      { id: 'b', sex: 'male' as const, on: addDays(TODAY, -25), count: 3 },
    ];
    const flight = {
      ...{ profile: 'moth-tropical', scientificName: 'Actias luna', residentIds: [], out: { female: 1, male: 1 } },
      ...{
        temperatureC: 25,
        ...{ spins: null, waiting: 0, waitingIds: [] },
        wakeC: 26,
        pairC: 26,
        meeting: meeting({ kind: luna, cocoons, temperatureC: 25, asOf: TODAY }),
      },
    };
    await show(<BroodBoard />, { asOf: TODAY, broods: [], layers: [], flights: [flight] });
    expect(screen.getByText('Out now: 1 female, 1 male. Pair them tonight')).toBeTruthy();
    expect(screen.getByText(/^Hold the males back, dry and at 13 C, until/)).toBeTruthy();
    expect(screen.getByText(/^Likeliest night to pair: .* near 26 C\.$/)).toBeTruthy();
  });
});

describe('colonies and cultures', () => {
  const row = (residentId: string, change: Partial<Colonies['colonies'][number]>): Colonies['colonies'][number] => ({
    ...{ residentId, heads: 400, countedOn: '2026-09-20', roomForHeads: 540, fullPct: 74, splitOn: '2026-12-01' },
    ...{
      harvest: null,
      splitInto: [],
      verdict: null,
      outOfId: null,
      partedOn: null,
      isFounding: false,
      isCounted: true,
      isResting: false,
    },
    ...change,
  });
  it('stand by what presses: a crash, then what is to be split; with lineage, harvest and the next tub', async () => {
    await show(<ColonyBoard />, {
      asOf: TODAY,
      colonies: [
        row('Swifts', {
          splitOn: TODAY,
          fullPct: 96,
          harvest: { perWeek: 12.4, sharePct: 4, keepBack: 10, usableOn: TODAY },
          partedOn: '2026-08-20',
        }),
        row('Second', { verdict: 'crash', outOfId: 'Swifts' }),
        row('Ember', { heads: 180, isResting: true, splitOn: null }),
      ],
    });
    const names = screen.getAllByRole('link').map((link) => link.getAttribute('aria-label'));
    expect(names).toEqual(['Open H3, Second', 'Open H2, Swifts', 'Open H0, Ember']);
    expect(screen.getByText('About 400 heads, may be crashing')).toBeTruthy();
    expect(screen.getByText('Out of H2, Swifts')).toBeTruthy();
    expect(screen.getByText('96 % of its room; split now; 12 a week may go; counted 20 Sept')).toBeTruthy();
    expect(screen.getByText(/^Last tub begun from it 20 Aug: another is due$/)).toBeTruthy();
    expect(screen.getByText('About 180 workers, resting')).toBeTruthy();
  });
});
