import fc from 'fast-check';
import { orderWith } from '@/client/arrange';
import type { Home, Resident } from '@/contract/records';
import type { Round, Stop } from '@/contract/round';
import { todayWords } from '@/words/today';
import { temperatureWords } from '@/words/temperature';
import { boxFacts, type Asked } from './boxFacts';
import { tintOf } from './tints';
import { DAY } from '../theme/tokens';
import { nearestTowards } from './towardsPlace';
import { fittingPxPerMm, LEAST_PX_PER_MM, MOST_PX_PER_MM } from './wallScale';

const home = { id: 'h', code: 'B3', shelfId: 's', temperatureC: 24.5, residentIds: ['r'] } as unknown as Home;
const tenant = { id: 'r', called: 'Bramble', scientificName: 'Tliltocatl albopilosus' } as Resident;
const stop = (jobs: object[], leaveAlone: object | null = null) =>
  ({ homeId: 'h', jobs, leaveAlone }) as unknown as Stop;
const round = (...stops: Stop[]) => ({ on: '2026-03-14', stops, unworkable: [] }) as unknown as Round;
const asked = (change: Partial<Asked>): Asked => ({
  ...{ look: 'today', round: round(), temperature: temperatureWords('C'), moults: null, massG: () => null },
  ...change,
});
const failing = {
  ...home,
  state: { verdict: 'fail', grounds: [{ about: 'fit', status: 'fail', title: 'Too far to fall' }] },
} as Home;

describe('a box on the wall', () => {
  it('says who lives there, what fails and what is due, and shows by a ring whether it can wait', () => {
    const jobs = [{ kind: 'feed' }, { kind: 'water', doneBy: 'e' }, { kind: 'soil', cannotWait: true }];
    const facts = boxFacts(failing, [tenant], asked({ round: round(stop(jobs)) }));
    expect(facts.label).toBe('B3, Bramble, Tliltocatl albopilosus, Put right, Too far to fall, 2 jobs today');
    expect(facts).toMatchObject({ due: 'first', verdict: 'fail', isLeftAlone: false, hasAlarm: false });
    expect(boxFacts(home, [tenant], asked({ round: round(stop([{ kind: 'feed' }])) })).due).toBe('today');
    const done = boxFacts(
      home,
      [tenant],
      asked({ round: round(stop([{ kind: 'feed', skipped: {} }], { code: 'premoult' })) }),
    );
    expect(done).toMatchObject({ due: null, isLeftAlone: true });
    expect(done.label).toMatch(/leave alone$/);
    // What can wait for a lighter day is none of today's, as on the round.
    const later = boxFacts(home, [tenant], asked({ round: round(stop([{ kind: 'clean', lighterIn: 3 }])) }));
    expect([later.due, later.label]).toEqual([null, 'B3, Bramble, Tliltocatl albopilosus']);
    expect(boxFacts(home, [], asked({})).label).toBe('B3, free');
  });

  it('shows under its code what it is looked at for, and says it', () => {
    const moults = new Map([['r', { median: '2026-03-29' }]]);
    const seen = (change: Partial<Asked>, of = home) => {
      const { caption, shade, label } = boxFacts(of, [tenant], asked(change));
      return [caption, shade, label.split(', ').at(-1)];
    };
    expect(seen({ look: 'warmth' })).toEqual(['24.5 C', (24.5 - 4) / 28, 'warmth 24.5 C']);
    expect(seen({ look: 'moults', moults })).toEqual(['29 Mar', 1 - 15 / 90, 'next moult 29 Mar']);
    expect(seen({ look: 'moults' })).toEqual(['', null, 'Tliltocatl albopilosus']);
    expect(seen({ look: 'load', massG: () => 2340 })).toEqual(['2.3 kg', 0.234, 'filling 2.3 kg']);
    const damp = { ...home, state: { verdict: 'pass', grounds: [], water: { wetness: 0.3, dueOn: '2026-03-15' } } };
    expect(seen({ look: 'damp' }, damp as unknown as Home)).toEqual(['tomorrow', 0.5, 'damp again tomorrow']);
    expect(seen({ look: 'fit' }, failing)).toEqual(['Put right', null, 'Too far to fall']);
  });

  it('is told from others by its air: the more, the stronger; one of which nothing is known, in grey', () => {
    const facts = { verdict: 'pass' as const, shade: 0.2 };
    const tint = (shade: number | null, look: 'load' | 'fit' = 'load', verdict: 'pass' | 'fail' | null = 'pass') =>
      tintOf(DAY, look, { ...facts, verdict, shade } as Parameters<typeof tintOf>[2]);
    const red = (ink: string | undefined) => Number(/\d+/.exec(ink ?? '')?.[0]);
    expect(red(tint(0.9))).toBeLessThan(red(tint(0.1)));
    expect(tint(null)).toBe(DAY.resting);
    expect([tint(null, 'fit'), tint(null, 'fit', null)]).toEqual([undefined, DAY.resting]);
    expect(tint(null, 'fit', 'fail')).not.toBe(tint(null, 'fit', null));
  });
});

describe('the day of one in a sentence', () => {
  const said = (...jobs: object[]) => todayWords({ jobs } as Pick<Stop, 'jobs'>);
  it('counts as the round does', () => {
    expect(todayWords(undefined)).toBe('Nothing to do today.');
    expect(said({}, { cannotWait: true }, { doneBy: 'e' })).toBe('2 jobs today, 1 cannot wait.');
    expect(said({ cannotWait: true, lighterIn: 2 })).toBe('1 job today: it cannot wait.');
    expect(said({ lighterIn: 2 }, { skipped: {} })).toBe('Done for today. 1 job can wait for a lighter day.');
    expect(said({}, { lighterIn: 2 }, { lighterIn: 4 })).toBe('1 job today. 2 jobs can wait for a lighter day.');
  });
});

describe('the scale of the wall', () => {
  it('shows most shelves whole, within its limits, whatever stands on them', () => {
    const shelves = fc.array(fc.array(fc.double({ min: 30, max: 900, noNaN: true }), { maxLength: 12 }), {
      minLength: 1,
      maxLength: 9,
    });
    fc.assert(
      fc.property(shelves, fc.integer({ min: 300, max: 1600 }), (boxes, widthPx) => {
        const pxPerMm = fittingPxPerMm(boxes, widthPx);
        expect(pxPerMm).toBeGreaterThanOrEqual(LEAST_PX_PER_MM);
        expect(pxPerMm).toBeLessThanOrEqual(MOST_PX_PER_MM);
        // A larger wall is never drawn smaller.
        expect(fittingPxPerMm(boxes, widthPx + 200)).toBeGreaterThanOrEqual(pxPerMm);
      }),
    );
    expect(fittingPxPerMm([[400], [400], [4000]], 440)).toBeCloseTo(MOST_PX_PER_MM, 3);
    expect(fittingPxPerMm([[800], [800], [4000]], 440)).toBeCloseTo((440 - 20) / 800, 3);
  });
});

describe('a box is carried', () => {
  const homes = ['a', 'b', 'c'].map((id) => ({ id, shelfId: 's' })).concat([{ id: 'x', shelfId: 't' }]) as Home[];
  it('before another, to the end of a shelf, and to another shelf', () => {
    expect(orderWith(homes, 's', 'c', 'a')).toEqual(['c', 'a', 'b']);
    expect(orderWith(homes, 's', 'a', null)).toEqual(['b', 'c', 'a']);
    expect(orderWith(homes, 's', 'x', 'b')).toEqual(['a', 'x', 'b', 'c']);
    expect(orderWith(homes, 't', 'a', null)).toEqual(['x', 'a']);
    expect(orderWith(homes, 's', 'x', 'gone')).toEqual(['a', 'b', 'c', 'x']);
  });

  it('by the arrow keys to the next place in that direction', () => {
    const place = (left: number, top: number) => ({ left, top, width: 40, height: 40 });
    const [here, right, far, below, aside] = [place(0, 0), place(60, 4), place(300, 0), place(20, 120), place(400, 90)];
    const all = [far, right, below, aside];
    expect(nearestTowards(here, all, 'ArrowRight')).toBe(right);
    expect(nearestTowards(here, all, 'ArrowDown')).toBe(below);
    expect(nearestTowards(right, [here, far], 'ArrowLeft')).toBe(here);
    expect(nearestTowards(here, all, 'ArrowUp')).toBeUndefined();
    expect(nearestTowards(here, all, 'Enter')).toBeUndefined();
  });
});
