import { shippedRests } from '@/contract/shipped';
import { addDays, type Day } from '@/core/measure/day';
import { inLines } from '@/core/testing/inLines';
import { restPlan, type RestingKind, type RestPlan } from './rest';
import { restCourse, weeklyTemperatures } from './restCourse';
import { HEMISPHERES, seasonOf } from './year';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */
const kindOf = (profile: string) => shippedRests.find((each) => each.profiles.includes(profile)) as RestingKind;
const [SMALL, LARGE, EGGS] = [
  kindOf('ant-small-temperate'),
  kindOf('ant-large-mediterranean'),
  kindOf('moth-cold-egg'),
];
const plan = restPlan({ kind: SMALL, hemisphere: 'north', asOf: '2026-10-01', roomC: 22, placeC: 6 });

describe('a rest, as it was reckoned', () => {
  it.each<[string, () => RestPlan]>([
    ['of small ants', () => plan],
    [
      'of large ants in the south, begun late',
      () => restPlan({ kind: LARGE, hemisphere: 'south', asOf: '2026-06-20', roomC: 19, placeC: 12 }),
    ],
    [
      'of large ants in too warm a place',
      () => restPlan({ kind: LARGE, hemisphere: 'north', asOf: '2026-09-20', roomC: 24, placeC: 17 }),
    ],
    [
      'of small ants, begun on a day of their keeper',
      () =>
        restPlan({ kind: SMALL, hemisphere: 'north', asOf: '2026-11-01', roomC: 20, placeC: 8, startOn: '2026-12-20' }),
    ],
    ['of eggs', () => restPlan({ kind: EGGS, hemisphere: 'north', asOf: '2026-10-01', roomC: 21, placeC: 5 })],
  ])('%s', (_, make) => {
    expect(inLines(make())).toMatchSnapshot();
  });

  const key = (of: RestPlan, index: number) =>
    of.steps.filter(({ what }, at) => what === of.steps[index]?.what && at <= index).length;
  /** So many steps made, each so many days after its day. */
  const made = (of: RestPlan, count: number, late: number) =>
    new Map<string, Day>(
      of.steps
        .slice(0, count)
        .flatMap(({ on, what }, index) =>
          what === 'hold' ? [] : [[`${what}-${key(of, index)}`, addDays(on, late)] as const],
        ),
    );
  it.each([
    ['before anything was done', plan, 0, 0, '2026-10-20'],
    ['fed, and late', plan, 3, 9, '2026-11-02'],
    ['half cooled', plan, 6, 2, '2026-11-08'],
    ['half cooled, weeks ago', plan, 6, 0, '2027-01-10'],
    ['cold', plan, 9, 1, '2026-12-24'],
    ['warming', plan, plan.steps.length - 3, 0, '2027-03-20'],
    ['over', plan, plan.steps.length, 0, '2027-05-01'],
    ['never begun', plan, 0, 0, '2027-02-20'],
  ] as const)('under way, %s', (_, of, count, late, today) => {
    expect(inLines(restCourse(of, SMALL, made(of, count, late), today))).toMatchSnapshot();
  });

  it('has temperatures by the week, those before its first step of the room', () => {
    const steps = [...plan.steps].reverse();
    expect(weeklyTemperatures(steps, '2026-10-10', 26, 22)).toMatchSnapshot();
    expect(weeklyTemperatures([], '2026-10-10', 3, 22)).toEqual([22, 22, 22]);
  });
});

describe('the year, as it was reckoned', () => {
  it.each(HEMISPHERES)('in the %s', (hemisphere) => {
    const days = ['01-01', '02-14', '03-21', '05-02', '07-01', '09-22', '11-30'];
    expect(inLines(days.map((day) => seasonOf(`2026-${day}`, hemisphere)))).toMatchSnapshot();
  });
});
