import { fireEvent, screen } from '@testing-library/react';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import { shippedProfiles } from '@/contract/shipped';
import { careBook } from '@/core/profiles/careBook';
import type { Job } from '@/core/plan/work';
import type { Form, Stage } from '@/core/profiles/profile';
import { renderThemed } from '../testing/themed';
import { Happened } from './Happened';

const mockOpened: string[] = [];
jest.mock('expo-router', () => ({ router: { push: (address: string) => mockOpened.push(address) } }));

const DAY = '2026-03-14';
const QUIET = { code: 'quiet-over', since: DAY, on: DAY, mayMoult: true } as const;
const WATER = { code: 'founding-water', since: DAY } as const;
const DUE = { code: 'since-last', days: 1, on: DAY } as const;
const job = (kind: Job['kind'], reason: Job['reason']) => ({ kind, reason }) as Job;

/** Of whom a job has somebody look, and what may have happened to it: nothing that its kind does not do. */
describe('where somebody looks, it is told that', () => {
  beforeEach(() => useHouse.setState({ care: careBook([...shippedProfiles], []) }));

  it.each<[string, string, Stage, Form, Job, string, string]>([
    ['a spider', 'ground-tarantula', 'juvenile', 'single', job('look', QUIET), 'It moulted', 'moulted'],
    ['nymphs', 'stick-insect', 'nymph', 'group', job('look', QUIET), 'Some moulted', 'instars'],
    ['a queen', 'ant-small-temperate', 'adult', 'colony', job('look', WATER), 'Workers are there', 'counted'],
    ['cocoons', 'moth-tropical', 'pupa', 'group', job('emerge', DUE), 'Came out', 'emerged'],
    ['eggs', 'mantis', 'egg', 'eggs', job('hatch', DUE), 'They hatched', 'hatched'],
  ])('%s did what was waited for', (_, profile, stage, form, asked, title, write) => {
    renderThemed(<Happened job={asked} resident={{ id: 'r', profile, stage, form } as Resident} />);
    fireEvent.click(screen.getByRole('button', { name: title }));
    expect(mockOpened.at(-1)).toBe(`/residents/r?write=${write}`);
  });

  it('a sealed snail does not moult', () => {
    const snail = { id: 'r', profile: 'land-snail', stage: 'adult', form: 'single' } as Resident;
    renderThemed(<Happened job={job('look', QUIET)} resident={snail} />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
