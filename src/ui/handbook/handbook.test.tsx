import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import type { Stop } from '@/contract/round';
import { shippedHazards, shippedProfiles, shippedSpecies } from '@/contract/shipped';
import { careCard } from '@/core/handbook/card';
import { careBook } from '@/core/profiles/careBook';
import { BrokenPage } from '../BrokenPage';
import { StopPlace } from '../round/StopPlace';
import { Cautions } from '../residents/Cautions';
import { renderThemed } from '../testing/themed';
import { cardLabel, cardValue } from '@/words/card';
import { changeWords, minutesWords } from '@/words/schools';
import { boxSignWords, nextLookWords, stepWords } from '@/words/trouble';
import { NowNamed } from './NowNamed';
import { SignAnswers } from './SignAnswers';
import { lengthWords } from '@/words/lengths';
import { tub } from '../testing/tub';

jest.mock('expo-router', () => ({ router: { push: () => undefined } }));

const mm = lengthWords('mm');
const celsius = (value: number) => `${value} C`;
const titleOf = (id: string) => ({ dry: 'Too dry', wet: 'Too wet', dish: 'Sits over the dish' })[id] ?? id;
beforeEach(() =>
  useHouse.setState({
    ...{ care: careBook(shippedProfiles, shippedSpecies), species: [...shippedSpecies], hazards: shippedHazards },
  }),
);

describe('cautions', () => {
  const ornamental = { scientificName: 'Poecilotheria regalis', profile: 'tree-tarantula' };

  it('say all that is known, and before a step what counts there, with what lies ready', () => {
    renderThemed(<Cautions who={ornamental} />);
    expect(screen.getByText('Caution: do not handle, do not work alone')).toBeTruthy();
    expect(screen.getByText(/CITES Appendix II/)).toBeTruthy();
  });

  it('say nothing before a step at which nothing can happen', () => {
    const { container } = renderThemed(
      <Cautions who={{ scientificName: 'Hierodula membranacea', profile: 'mantis' }} />,
    );
    expect(container.textContent).toBe('');
  });

  it('stand on the row of the walk, for whatever is to be done there, and go with it', () => {
    const stop = (kind: 'water' | 'label', doneBy?: string): Stop => ({
      ...{ residentId: 'r', homeId: 'h', shelfId: 's', leaveAlone: null, waiting: [] },
      jobs: [
        {
          ...{ kind, dueOn: '2026-03-14', until: '2026-03-15', cannotWait: false, minutes: 1 },
          ...{ reason: { code: 'never', since: '2026-01-01' }, ...(doneBy !== undefined && { doneBy }) },
        },
      ],
    });
    useHouse.setState({
      residents: [{ id: 'r', called: null, homeId: 'h', ...ornamental } as Resident],
      homes: [tub('B2', { id: 'h' })],
    });
    const shows = (one: Stop) => {
      renderThemed(<StopPlace id="row" stop={one} today="2026-03-14" isChosen={false} />);
      const isThere = screen.queryByText('serious venom, not alone') !== null;
      cleanup();
      return isThere;
    };
    expect(shows(stop('water'))).toBe(true);
    expect(shows(stop('label'))).toBe(false);
    expect(shows(stop('water', 'e'))).toBe(false);
  });
});

describe('names', () => {
  it('that have changed are told, and only taken when their keeper does', () => {
    const taken = jest.fn();
    renderThemed(<NowNamed scientificName="Haplopelma lividum" onTake={taken} />);
    expect(screen.getByText('Cyriopagopus lividus')).toBeTruthy();
    expect(taken).not.toHaveBeenCalled();
    act(() => void fireEvent.click(screen.getByRole('button', { name: 'Write Cyriopagopus lividus' })));
    expect(taken).toHaveBeenCalledWith('Cyriopagopus lividus');
  });

  it('in use are not remarked on', () => {
    const { container } = renderThemed(<NowNamed scientificName="Cyriopagopus lividus" />);
    expect(container.textContent).toBe('');
  });
});

describe('words of the handbook', () => {
  it('name and write every number of every card', () => {
    const care = careBook(shippedProfiles, shippedSpecies);
    const none = { rests: [], eggs: [], moths: [], populations: [] };
    for (const { id } of shippedProfiles) {
      for (const line of careCard(care.of({ profile: id }), none)) {
        expect(cardLabel(line)).not.toBe('');
        expect(cardValue(line, celsius)).toMatch(/^(at |every |none|to be |\d)/);
      }
    }
    const card = careCard(care.of({ profile: 'tree-tarantula' }), none);
    const value = (key: string) => card.filter((line) => line.key === key).map((line) => cardValue(line, celsius))[0];
    expect(value('humidity')).toBe('60 to 88 %');
    expect(value('temperature')).toBe('20 C to 29 C');
    expect(value('leftovers')).toBe('24 hours');
  });

  it('say what a sign did, what the box says, and what the next look would show', () => {
    const step = { sign: 'dish', present: true, likelihood: [0.6, 0.03], afterPct: [80, 20] };
    expect(stepWords(step, ['dry', 'wet'], titleOf)).toBe(
      'Sits over the dish: yes; 20 times as likely with “too dry” as with “too wet”. Now first: too dry, 80 %.',
    );
    const sign = { id: 'air-dry', present: true, actual: 52.4, limit: 60, unit: '%' } as const;
    expect(boxSignWords(sign, 'The air is drier than its band')).toBe(
      'The air is drier than its band: yes, 52 % against 60 %',
    );
    const look = {
      sign: 'dish',
      gainBits: 1,
      seenPct: 30,
      ifYes: { cause: 'dry', pct: 71 },
      ifNo: { cause: 'wet', pct: 44.6 },
    };
    expect(nextLookWords(look, titleOf)).toBe('Sits over the dish? If yes: too dry 71 %. If no: too wet 45 %.');
  });

  it('say what a school changes, and the work of a year', () => {
    const names = { feeders: [], foods: [] };
    const change = {
      ...{ minutesBefore: 600, minutesAfter: 420, meal: null },
      work: [{ kind: 'feed' as const, timesBefore: 52, timesAfter: 24 }],
      checks: [{ rule: 'flow', title: 'Air moves through', before: 'pass' as const, after: null }],
    };
    expect(changeWords({ ...change, openings: null }, names, mm)).toEqual([
      'to feed: 24 times a year instead of 52',
      'no longer asked: air moves through',
    ]);
    const drilled = {
      ...{ spacingMm: 40, centreHeightMm: 110, openSharePct: 1.2, isShort: false, isGlass: false, covered: [] },
    };
    const before = { ...drilled, kind: 'holes' as const, sides: ['front' as const, 'back' as const], perSide: 4 };
    const after = { ...before, kind: 'mesh-holes' as const, sides: ['left' as const], perSide: 1, diameterMm: 50 };
    const openings = {
      before: { ...before, diameterMm: 3, meshApertureMm: null, airChangesPerHour: 2.04 },
      after: { ...after, meshApertureMm: 1, airChangesPerHour: 12.4, isShort: true },
    };
    expect(changeWords({ ...change, work: [], checks: [], openings }, names, mm)).toEqual([
      'a new box gets 1 round opening of 50 mm in one side under mesh of 1 mm instead of 4 holes of 3 mm in each of 2 sides',
      'its air then changes 12 times an hour instead of 2.0',
      'which is less than it should have',
    ]);
    expect(minutesWords(change)).toBe('3 hours less work a year');
    expect(minutesWords({ minutesBefore: 10, minutesAfter: 11 })).toBe('about as much work as before');
  });
});

it('a sign is seen, not seen, or not looked for', () => {
  const answered = jest.fn();
  renderThemed(<SignAnswers signs={[{ id: 'dish', title: 'Sits over the dish' }]} answers={{}} onAnswer={answered} />);
  expect(screen.getByRole('radio', { name: 'not looked', checked: true })).toBeTruthy();
  act(() => void fireEvent.click(screen.getByRole('radio', { name: 'no' })));
  expect(answered).toHaveBeenCalledWith('dish', 'no');
});

it('a page that broke says that what was written is kept, and goes on when it is tried again', () => {
  const retry = jest.fn(() => Promise.resolve());
  renderThemed(<BrokenPage error={new Error('a school that nobody knows')} retry={retry} />);
  expect(screen.getByText('What you have written is kept. Try it again, or go back to the round.')).toBeTruthy();
  expect(screen.getByText('a school that nobody knows')).toBeTruthy();
  act(() => void fireEvent.click(screen.getByRole('button', { name: 'Try again' })));
  expect(retry).toHaveBeenCalled();
});
