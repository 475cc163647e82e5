import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { ResidentRest } from '@/contract/rest';
import type { ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { shippedEggs, shippedPopulations, shippedProfiles, shippedRests } from '@/contract/shipped';
import { broodOf } from '@/contract/testing/brood';
import { castesOf } from '@/core/colony/castes';
import { safeHarvest } from '@/core/colony/culture';
import { tubsFor } from '@/core/colony/tubs';
import { projectColony, type ColonyQuestion } from '@/core/colony/project';
import { careBook } from '@/core/profiles/careBook';
import { restPlan, type RestingKind } from '@/core/season/rest';
import { restCourse } from '@/core/season/restCourse';
import { RestScreen } from '../screens/RestScreen';
import { renderThemed } from '../testing/themed';
import { ColonyAhead } from './ColonyAhead';
import { CountForm } from './CountForm';
import { EggsAhead } from './EggsAhead';
import { pick } from '../testing/hands';

jest.mock('expo-router', () => ({ router: { push: jest.fn(), canGoBack: () => false } }));
const mockCall = jest.fn();
jest.mock('@/client/api', () => ({ ...jest.requireActual('@/client/api'), call: () => mockCall() }));
// What the worker works out is worked out here.
const mockWorker = {
  course: async (question: ColonyQuestion) => projectColony({ ...question, draws: 40 }),
  safeHarvest: async (question: Parameters<typeof safeHarvest>[0]) => safeHarvest(question),
  tubs: async (question: Parameters<typeof tubsFor>[0]) => tubsFor(question),
};
jest.mock('@/client/colonyWorker', () => ({ colonyWorker: () => mockWorker }));

const TODAY = '2026-10-01';
const kindOf = (profile: string) => shippedPopulations.find((each) => each.profiles.includes(profile)) ?? null;
const of = (profile: string, change: Partial<ColonyFacts>): ColonyFacts => ({
  ...{ residentId: 'r', asOf: TODAY, counts: {}, estimated: [], queens: 1, temperatureC: 24, roomForHeads: null },
  ...{ fullPct: null, splitOn: null },
  ...{
    temperaturesC: Array<number>(52).fill(24),
    countedOn: TODAY,
    countSpread: 0,
    heads: 0,
    verdict: null,
    isCounted: true,
  },
  ...{ castes: [], founding: null, nest: null, fungusMl: null },
  kind: kindOf(profile),
  rest: shippedRests.find((each) => each.profiles.includes(profile)) ?? null,
  ...change,
});
const resident = {
  id: 'r',
  called: 'Ember',
  scientificName: 'Myrmica rubra',
  form: 'colony',
  profile: 'ant-small-temperate',
} as Resident;
const write = jest.fn(async () => true);
beforeEach(() => {
  write.mockClear();
  useLog.setState({ write });
  useHouse.setState({
    round: { on: TODAY, stops: [], unworkable: [] },
    residents: [resident],
    state: 'ready',
    homes: [],
    care: careBook([...shippedProfiles], []),
  });
});
const show = async (facts: ColonyFacts) => {
  mockCall.mockResolvedValue(facts);
  await act(async () =>
    renderThemed(<ColonyAhead resident={{ ...resident, profile: facts.kind?.profiles[0] ?? '' }} />),
  );
  await waitFor(() => expect(screen.queryByText('Counting ahead…')).toBeNull());
};

describe('a colony ahead', () => {
  it('that is founding is told to be left until its first workers; what is seen is noted with one tap', async () => {
    const founding = {
      ...{ beganOn: '2026-09-01', seen: { egg: '2026-09-10' }, furthest: 'egg', isLate: false, food: 'none' as const },
      isSealed: true,
      firstWorkers: { p10: '2026-10-20', median: '2026-10-30', p90: '2026-11-10' },
    };
    await show(of('ant-small-temperate', { counts: { egg: 8 }, founding }));
    expect(screen.getByText('First workers about 30 Oct, between 20 Oct and 10 Nov')).toBeTruthy();
    expect(screen.getByText(/no food until the first workers/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'First larvae seen today' }));
    expect(write).toHaveBeenCalledWith({ kind: 'brood-seen', residentId: 'r', stage: 'larva' }, expect.any(String));
  });

  it('in a nest that is far too large is told what to close, and how it is moved', async () => {
    const kind = kindOf('ant-large-mediterranean');
    const nest = { volumeMl: 432, chambers: 3, tubeBoreMm: 9, outworldL: 6.7, perHeadMl: 1.5 };
    const castes = castesOf(kind?.castes ?? [], 50);
    await show(of('ant-large-mediterranean', { counts: { worker: 50 }, heads: 50, roomForHeads: 310, nest, castes }));
    expect(screen.getByText(/Close off about 325 mL, and add nothing\./)).toBeTruthy();
    expect(screen.getByText(/^Likely \d+ small workers, \d+ middle workers/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Moving into a new nest' }));
    expect(screen.getByText(/Leave the old nest on: brood may still be in it/)).toBeTruthy();
  });

  it('of a culture says when to split it, what may be taken out for ever, and how many tubs a need takes', async () => {
    await show(
      of('isopod-temperate', {
        queens: 0,
        counts: { adult: 300, juvenile: 190 },
        roomForHeads: 540,
        fullPct: 91,
        splitOn: TODAY,
      }),
    );
    expect(
      screen.getByText(/^91 % of its room is taken: split it now, and keep the old soil: it is full/),
    ).toBeTruthy();
    expect(screen.getByText(/grown ones a week may go from .* on; .*Keep 10 at any rate/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Tubs for a weekly need' }));
    fireEvent.change(screen.getByLabelText('Grown ones wanted a week'), { target: { value: '60' } });
    expect(await screen.findByText(/^\d+ tubs like this one: each gives about .* with 10 kept in it/)).toBeTruthy();
    // Nothing is said of a winter that it does not have.
    expect(screen.queryByText('Winter rest')).toBeNull();
  });

  it('whose count fell says so', async () => {
    await show(of('isopod-temperate', { queens: 0, counts: { adult: 30 }, verdict: 'crash', roomForHeads: 540 }));
    expect(screen.getByText(/it may be crashing\. Take nothing out/)).toBeTruthy();
  });
});

describe('a count', () => {
  it('by stages, in a photo of a part, or by eye', async () => {
    mockCall.mockResolvedValue(of('ant-small-temperate', {}));
    await act(async () => renderThemed(<CountForm resident={resident} onDone={() => undefined} />));
    fireEvent.change(screen.getByLabelText('Larvae'), { target: { value: '40' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Write down' })));
    expect(screen.getByText('Count the workers too, 0 where there are none.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Workers'), { target: { value: '120' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Write down' })));
    expect(write).toHaveBeenLastCalledWith(
      { kind: 'measured', residentId: 'r', stages: { worker: 120, larva: 40 } },
      expect.any(String),
      expect.any(Function),
    );
    fireEvent.click(screen.getByRole('radio', { name: 'In a photo' }));
    fireEvent.change(screen.getByLabelText('Heads in the photo'), { target: { value: '60' } });
    fireEvent.change(screen.getByLabelText('Part of the nest in the photo, %'), { target: { value: '25' } });
    expect(screen.getByText(/^About 240 in all/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'By eye' }));
    await pick('About how many', '100 to 250');
    expect(write).toHaveBeenLastCalledWith(
      { kind: 'measured', residentId: 'r', headCount: 158, headsLow: 100, headsHigh: 250 },
      expect.any(String),
      expect.any(Function),
    );
  });
});

describe('eggs ahead', () => {
  const kind = shippedEggs.find((each) => each.profiles.includes('communal-assassin-bug'));
  it('are shown by the week, and venomous young are never offered as food', async () => {
    if (!kind) throw new Error('The eggs are missing.');
    const laid = { eggs: 40, laidFrom: '2026-09-10', laidTo: '2026-09-10', mating: 'mated' as const, temperatureC: 25 };
    const brood = broodOf('r', kind, laid, TODAY);
    mockCall.mockResolvedValue({ asOf: TODAY, broods: [brood], flights: [] });
    await act(async () => renderThemed(<EggsAhead resident={resident} />));
    expect(screen.getByRole('img', { name: /^Hatching .* of 40 eggs$/ })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'What becomes of the young' }));
    expect(screen.getByText(/^None to feed off\. They are venomous/)).toBeTruthy();
    expect(screen.queryByLabelText('To feed off')).toBeNull();
    fireEvent.change(screen.getByLabelText('To keep'), { target: { value: 'many' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Plan it so' })));
    expect(screen.getByText('A whole number from 0 up.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('To keep'), { target: { value: '12' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Plan it so' })));
    expect(write).toHaveBeenLastCalledWith(
      { kind: 'surplus', residentId: 'r', keep: 12, passOn: 0, feedOff: 0 },
      expect.any(String),
      expect.any(Function),
    );
  });
});

describe('a winter rest', () => {
  const kind = shippedRests.find((each) => each.profiles.includes('ant-small-temperate')) as RestingKind;
  const places = [
    { roomId: 'warm', name: 'Boiler Room', temperatureC: 24, from: 'set' as const },
    { roomId: 'cellar', name: 'Cellar', temperatureC: 7, from: 'readings' as const },
  ];
  const open = async (rest: ResidentRest['rest'], asOf: string) => {
    mockCall.mockResolvedValue({ residentId: 'r', asOf, kind, roomC: 22, places, rest });
    await act(async () => renderThemed(<RestScreen residentId="r" />));
  };

  it('is planned in the place that suits it best, with its staircase and every step', async () => {
    await open(null, TODAY);
    expect(screen.getByText(/^28 Oct to 3 Mar 2027, at 7 C$/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^From 22 C down to 7 C by steps/ })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Begin cooling on: with its season' })).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'Boiler Room, 24 C' }));
    expect(screen.getByText(/^Too warm: Boiler Room stands at 24 C/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'Cellar, 7 C' }));
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Rest by this plan' })));
    expect(write).toHaveBeenCalledWith(
      { kind: 'rest-planned', residentId: 'r', roomId: 'cellar' },
      expect.any(String),
      expect.any(Function),
    );
  });

  it('under way shows what is due to tick, what its place measured, and who went in', async () => {
    const plan = restPlan({ kind, hemisphere: 'north', asOf: TODAY, roomC: 22, placeC: 7 });
    const done = new Map([
      ['last-food-1', '2026-10-26'],
      ['count-1', '2026-10-29'],
    ]);
    const course = restCourse(plan, kind, done, '2026-10-31');
    await open(
      {
        ...{ id: 'plan', plannedOn: TODAY, roomId: 'cellar', place: 'Cellar', placeC: 7, roomC: 22, warnings: [] },
        course: { ...course, steps: course.steps.map((step) => ({ ...step, place: null })) },
        ...{ degreeHours: { above: 12, below: 0, hours: 48 }, measured: [], after: null, isAsWanted: false },
        weights: { before: null, after: null },
        alarms: [{ kind: 'too-warm', since: 0, hours: 14, value: 13, limit: 10, probe: 'Cellar', probeId: 'p' }],
        before: { on: '2026-10-20', heads: 180 },
      },
      '2026-10-31',
    );
    expect(screen.getByText('Look now. Cellar: 13 C for 14 hours, limit 10 C')).toBeTruthy();
    expect(screen.getByText('Measured over 2 days: 12 degree-hours too warm.')).toBeTruthy();
    expect(screen.getByText('Went in: 180, counted 20 Oct.')).toBeTruthy();
    fireEvent.click(screen.getByRole('checkbox', { name: /^Cool down to 18/ }));
    expect(write).toHaveBeenCalledWith(
      { kind: 'rest-step', residentId: 'r', step: 'cool-1', answers: 'rest plan cool-1' },
      expect.any(String),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Give the plan up' }));
    expect(write).toHaveBeenLastCalledWith({ kind: 'rest-ended', residentId: 'r' }, expect.any(String));
  });
});
