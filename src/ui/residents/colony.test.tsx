import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useHouse } from '@/client/house';
import type { ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { shippedPopulations, shippedRests } from '@/contract/shipped';
import { lastingHarvest } from '@/core/colony/culture';
import { projectColony, type ColonyQuestion } from '@/core/colony/project';
import { renderThemed } from '../testing/themed';
import { ColonyAhead } from './ColonyAhead';

const mockCall = jest.fn();
jest.mock('@/client/api', () => ({ ...jest.requireActual('@/client/api'), call: () => mockCall() }));
// What the worker works out is worked out here.
const mockWorker = {
  course: async (question: ColonyQuestion) => projectColony({ ...question, draws: 40 }),
  lastingHarvest: async (question: Parameters<typeof lastingHarvest>[0]) => lastingHarvest(question),
};
jest.mock('@/client/colonyWorker', () => ({ colonyWorker: () => mockWorker }));

const TODAY = '2026-10-01';
const of = (profile: string, change: Partial<ColonyFacts>): ColonyFacts => ({
  ...{ residentId: 'r', asOf: TODAY, counts: {}, estimated: [], queens: 1, temperatureC: 24, roomForHeads: null },
  ...{ temperaturesC: Array<number>(52).fill(24), countedOn: TODAY, countSpread: 0, heads: 0, verdict: null },
  ...{ castes: [], founding: null, nest: null },
  kind: shippedPopulations.find((each) => each.profiles.includes(profile)) ?? null,
  rest: shippedRests.find((each) => each.profiles.includes(profile)) ?? null,
  ...change,
});
const show = async (facts: ColonyFacts) => {
  mockCall.mockResolvedValue(facts);
  useHouse.setState({ round: { on: TODAY, stops: [] } });
  await act(async () => renderThemed(<ColonyAhead resident={{ id: 'r' } as Resident} />));
  await waitFor(() => expect(screen.queryByText('Counting ahead…')).toBeNull());
};

describe('a colony ahead', () => {
  it('that is founding is told to be left until its first workers', async () => {
    await show(of('ant-small-temperate', { counts: { egg: 8 } }));
    expect(screen.getByText(/^First workers about .* Until then no food, and no disturbing\.$/)).toBeTruthy();
  });

  it('in a nest that is far too large is told so, and one that is full to add a module', async () => {
    await show(of('ant-small-temperate', { counts: { worker: 20 }, roomForHeads: 2000 }));
    expect(screen.getByText(/far too much empty space/)).toBeTruthy();
  });

  it('of a culture says when to split it and what may be taken out for ever', async () => {
    await show(of('isopod-temperate', { queens: 0, counts: { adult: 300, juvenile: 190 }, roomForHeads: 540 }));
    expect(screen.getByText(/^91 % of its room is taken: split it now, and keep the old soil\.$/)).toBeTruthy();
    expect(screen.getByText(/grown ones a week may be taken out for ever/)).toBeTruthy();
    // Nothing is said of a winter that it does not have.
    expect(screen.queryByText('Winter rest')).toBeNull();
  });

  it('rests by steps, and is warned of a place that is too cold or too warm', async () => {
    await show(of('ant-large-mediterranean', { counts: { worker: 400 } }));
    expect(screen.getByText(/^15 Oct.* at 11/)).toBeTruthy();
    await act(async () => fireEvent.click(screen.getByRole('radio', { name: 'a refrigerator' })));
    expect(screen.getByText(/can fall below what the kind bears\. Do not put it there/)).toBeTruthy();
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Every step' })));
    expect(screen.getAllByText(/Look in, do not disturb/).length).toBeGreaterThan(2);
  });
});
