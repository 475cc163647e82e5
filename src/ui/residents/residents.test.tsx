import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { profileOf } from '@/contract/testing/profileOf';
import type { Entry } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import { careBook } from '@/core/profiles/careBook';
import { addDays } from '@/core/measure/day';
import { InstarBars } from '../charts/InstarBars';
import { MoultFan } from '../charts/MoultFan';
import { SurvivalSteps } from '../charts/SurvivalSteps';
import { INSTAR_PROBLEM } from '../forms/checks';
import { openList, pick, tap, type } from '../testing/hands';
import { renderThemed } from '../testing/themed';
import { entryWords } from '@/words/entries';
import { comparedWords, missingWords, survivalWords } from '@/words/groups';
import { massWords } from '@/words/measures';
import { leftWords, lifeWords } from '@/words/residents';
import { stillGrounds, stillVerdict } from '@/words/still';
import { BodyMeasures } from './BodyMeasures';
import { LeavingForm } from './LeavingForm';
import { NoteDown } from './NoteDown';
import { QuietPanel } from './QuietPanel';
import { found, soughtOf } from './search';
import { SizeForm } from './SizeForm';
import { lengthWords } from '@/words/lengths';

// The router comes as modules that these tests cannot load; nothing here leads anywhere.
jest.mock('expo-router', () => ({ router: { push: () => undefined }, useLocalSearchParams: () => ({}) }));

const TODAY = '2026-03-14';
const mm = lengthWords('mm');
const care = careBook([profileOf('ground-tarantula'), profileOf('stick-insect'), profileOf('land-snail')], []);
const bramble: Resident = {
  id: 'b',
  called: 'Bramble',
  scientificName: 'Tliltocatl albopilosus',
  commonName: 'Curly-haired tarantula',
  profile: 'ground-tarantula',
  kind: 'ground-tarantula',
  stage: 'adult',
  legSpanMm: 118,
  massG: 17.4,
  measuredOn: TODAY,
  form: 'single',
  sex: 'female',
  sexBy: 'shed-skin',
  ...{ bornOn: null, motherId: null, fatherId: null, outOfId: null, batch: 'Curly 24/7' },
  ...{ source: null, permit: null, schools: {}, forbidden: {}, keptSo: {}, takenInOn: '2024-03-14', homeId: 'h' },
};
const hedge: Resident = {
  ...bramble,
  id: 'd',
  called: 'The hedge',
  scientificName: 'Carausius morosus',
  profile: 'stick-insect',
  kind: 'stick-insect',
  stage: 'nymph',
  form: 'group',
  headCount: 15,
  sex: 'unknown',
  sexBy: null,
};
const written: object[] = [];

beforeEach(() => {
  written.length = 0;
  useHouse.setState({
    care,
    residents: [bramble, hedge],
    round: { on: TODAY, stops: [], unworkable: [] },
    state: 'ready',
  });
  useLog.setState({
    write: async (entry) => {
      written.push(entry);
      return true;
    },
  });
});

describe('writing down', () => {
  it('offers what the form of a resident can have', async () => {
    const { unmount } = renderThemed(<NoteDown resident={bramble} />);
    await openList('What to write down');
    expect(screen.getByRole('radio', { name: 'It moulted' })).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'Join another group' })).toBeNull();
    unmount();
    renderThemed(<NoteDown resident={hedge} />);
    await openList('What to write down');
    expect(screen.getByRole('radio', { name: 'Some moulted' })).toBeTruthy();
    expect(screen.queryByRole('radio', { name: 'Its sex' })).toBeNull();
  });

  it('says in which field a size, a weight or an instar is none, and writes nothing', async () => {
    renderThemed(<SizeForm kind="measured" resident={bramble} onDone={() => undefined} />);
    await tap('button', 'Write down');
    expect(screen.getByText('Write the leg span you measured.')).toBeTruthy();
    await type('Weight, g', 'heavy');
    await type('Instar, if you know it', '1.5');
    await tap('button', 'Write down');
    expect(screen.getByText(/Grams as a number over 0/)).toBeTruthy();
    expect(screen.getByText('A whole number from 1 to 59.')).toBeTruthy();
    expect(written).toEqual([]);
    await type('Weight, g', '18,2');
    await type('Instar, if you know it', '9');
    await tap('radio', 'Yesterday');
    await tap('button', 'Write down');
    expect(written).toEqual([
      { kind: 'measured', residentId: 'b', stage: 'adult', massG: 18.2, instar: 9, on: '2026-03-13' },
    ]);
  });

  it('asks a snail for no instar', async () => {
    const snail = { ...bramble, profile: 'land-snail', scientificName: 'Cornu aspersum', legSpanMm: undefined };
    renderThemed(<SizeForm kind="measured" resident={snail as Resident} onDone={() => undefined} />);
    expect(screen.getByLabelText('Weight, g')).toBeTruthy();
    expect(screen.queryByLabelText('Instar, if you know it')).toBeNull();
  });

  it('of some that died takes how many, when and of what', async () => {
    let isDone = false;
    renderThemed(<LeavingForm resident={hedge} onDone={() => (isDone = true)} />);
    await type('How many died', '2');
    await pick('What it is put down to', 'in a moult');
    await tap('radio', 'Another day');
    await tap('button', 'Which day: choose');
    fireEvent.click(await screen.findByRole('button', { name: '10' }));
    await tap('button', 'Write down');
    expect(written).toEqual([{ kind: 'died', residentId: 'd', count: 2, on: '2026-03-10', cause: 'moult' }]);
    expect(isDone).toBe(true);
  });

  it('of “12 of 15 are now L4” takes both numbers', async () => {
    renderThemed(<NoteDown resident={hedge} />);
    await pick('What to write down', 'Some moulted');
    await tap('button', 'Write down');
    expect(screen.getByText('A whole number from 1 up.')).toBeTruthy();
    expect(screen.getByText(INSTAR_PROBLEM)).toBeTruthy();
    await type('How many of the 15 are there now', '12');
    await type('In which instar', '4');
    await tap('button', 'Write down');
    expect(written).toEqual([{ kind: 'moulted', residentId: 'd', count: 12, instar: 4 }]);
  });
});

describe('a resident', () => {
  it('that is quiet says so, with the day it ends', async () => {
    const leaveAlone = {
      code: 'premoult' as const,
      signs: ['dark' as const],
      since: '2026-03-10',
      premoultPct: 82,
      endsOn: '2026-04-01',
    };
    useHouse.setState({
      round: {
        on: TODAY,
        unworkable: [],
        stops: [{ residentId: 'b', homeId: 'h', shelfId: 's', jobs: [], waiting: [], leaveAlone }],
      },
    });
    renderThemed(<QuietPanel residentId="b" more="Not now." />);
    await waitFor(() => expect(screen.getByText(/82 % a moult is close, food again 1 Apr/)).toBeTruthy());
    expect(screen.getByText('Not now.')).toBeTruthy();
  });

  it('has its measures converted by its kind, its weight held against what is usual', async () => {
    renderThemed(<BodyMeasures resident={bramble} />);
    await tap('button', 'Measures and sex');
    expect(screen.getByText('Leg span 118 mm, measured')).toBeTruthy();
    expect(screen.getByText(/^Body length [\d.]+ mm, worked out/)).toBeTruthy();
    expect(screen.getByText('Weight 17 g, as usual for its size (about 17 g)')).toBeTruthy();
    expect(screen.getByText('Sex female, by its shed skin.')).toBeTruthy();
    expect(massWords(40, 17)).toMatch(/heavy/);
    expect(massWords(undefined, 0.123)).toBe('Weight not taken; usual for its size about 0.12 g');
  });

  it('is found by any of its words, in any order, and by nothing else', () => {
    const all = [soughtOf(bramble, 'B3'), soughtOf(hedge, 'D4')];
    const names = (typed: string) => found(all, typed).map(({ resident }) => resident.called);
    expect(names('')).toHaveLength(2);
    expect(names('albo b3')).toEqual(['Bramble']);
    expect(names('CURLY 24/7')).toEqual(['Bramble', 'The hedge']);
    expect(names('b3 hedge')).toEqual([]);
  });
});

describe('words', () => {
  const entry = (kind: Entry['kind'], data: object, note: string | null = null) =>
    entryWords(
      {
        id: 'e',
        kind,
        residentId: 'b',
        homeId: null,
        on: TODAY,
        at: '',
        keeper: null,
        note,
        data,
        undoneAt: null,
      } as Entry,
      mm,
      { feeders: [], foods: [] },
      TODAY,
    );
  it.each([
    [entry('moulted', { count: 12, instar: 4 }), '12 are in instar 4'],
    [entry('moulted', { instar: 7, legSpanMm: 60, massG: 4 }), 'Moulted, instar 7, span 60 mm, 4 g'],
    [entry('measured', { instars: { 3: 3, 4: 12 } }), 'Counted: 3 in instar 3, 12 in instar 4'],
    [entry('sexed', { sex: 'female', by: 'shed-skin' }), 'Female, by its shed skin'],
    [entry('died', { count: 1, everybody: 1, cause: 'moult' }), 'It died, in a moult'],
    [entry('died', { count: 2 }), '2 died'],
    [entry('passed-on', { count: 9, everybody: 1, to: 'a friend' }), 'All 9 passed on to a friend'],
    [entry('hatched', { headCount: 31 }), '31 hatched'],
    [entry('noted', {}, 'Dug.'), 'Dug.'],
    [
      lifeWords({ ...hedge, form: 'eggs', stage: 'egg', legSpanMm: undefined, massG: undefined } as Resident, mm),
      '15 eggs',
    ],
    [lifeWords({ ...bramble, instar: 8 }, mm), 'female, adult, instar 8, span 118 mm, 17.4 g'],
    [leftWords({ leftBy: 'passed-on', leftOn: '2026-03-07' }, TODAY), 'passed on 7 Mar'],
    [missingWords(1), '1 was missing when they were counted, and is taken for dead.'],
    [missingWords(0), null],
  ])('%s', (words, expected) => expect(words).toBe(expected));

  it('of survival say how many live on, and of another batch how many did at that age', () => {
    const steps = [
      { time: 4, atRisk: 22, deaths: 2, survival: 0.909, low: 0.79, high: 1 },
      { time: 60, atRisk: 20, deaths: 5, survival: 0.682, low: 0.49, high: 0.88 },
    ];
    const survival = { steps, median: null, total: 22, deaths: 7, followed: 96 };
    expect(survivalWords(survival)).toBe('22 came, 7 died: 68 % live on after 60 days (49 to 88 %).');
    expect(survivalWords({ ...survival, steps: [], deaths: 0 })).toBe('22 came, none has died in 96 days.');
    expect(comparedWords(survival, 30)).toBe('22 came, 91 % lived on after 30 days.');
  });

  it('of stillness say what to do', () => {
    const answer = {
      ...{
        verdict: 'leave' as const,
        deadPct: 3,
        byDaysPct: 3,
        lookAgainInDays: 12,
        used: [{ id: 'moved', times: 0.002 }],
      },
      ...{ usualDays: 35, longestDays: 150, lookFor: [], howToLook: [], notToDo: [], worry: '' },
      findings: [{ id: 'moved', title: 'It moved', times: 0.002 }],
      basis: 'common practice' as const,
    };
    expect(stillVerdict(answer, true)).toMatchObject({
      status: 'pass',
      title: expect.stringMatching(/moults.*12 days/),
    });
    expect(stillVerdict(answer, false).title).not.toMatch(/moult/);
    expect(stillVerdict({ ...answer, verdict: 'worry', deadPct: 70 }, true).status).toBe('fail');
    expect(stillGrounds(answer)).toContain('It moved: seen 500 times as often on living ones (from memory).');
  });
});

describe('charts', () => {
  it('say in words what they show', () => {
    const window = (days: number) => ({
      p10: addDays(TODAY, days - 10),
      median: addDays(TODAY, days),
      p90: addDays(TODAY, days + 15),
    });
    renderThemed(
      <>
        <MoultFan
          label="Moults: 2 seen."
          today={TODAY}
          past={[addDays(TODAY, -90), addDays(TODAY, -30)]}
          ahead={[window(40), window(120)]}
          names={['L6', 'L7']}
        />
        <InstarBars label="Instars: 3 in instar 4." instars={{ 4: 3 }} />
        <SurvivalSteps label="Survival: half." own={{ name: 'these', steps: [], until: 30 }} others={[]} />
      </>,
    );
    for (const name of [/^Moults/, /^Instars/, /^Survival/]) expect(screen.getByRole('img', { name })).toBeTruthy();
  });
});
