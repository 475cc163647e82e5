import { shippedHandling, shippedHazards, shippedProfiles, shippedRests } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { ago, container, entry, LARDER, TODAY } from '@/contract/testing/spiderToday';
import { addDays } from '@/core/measure/day';
import { restPlan, type RestingKind } from '@/core/season/rest';
import { restCourse } from '@/core/season/restCourse';
import { inLines } from '@/core/testing/inLines';
import { waitingHouse } from '@/core/testing/movers';
import { absencePlan } from './absence';
import { heuristicChain } from './chain/heuristic';
import { chainModel } from './chain/model';
import { chainOfTenants, type Tenant } from './chain/tenants';
import { dueWork } from './due';
import { handlingSheet } from './handling';
import { planHouse } from './levelling';
import { contradictionsOf, keptBy, schoolChange } from './schoolChange';
import type { LogEntry, MoultOutlook, ProbeAlarm, ResidentToday } from './work';
import { workAhead } from './workAhead';

/* Answers as they were when they were last looked over: what they should be like is said in the tests beside. */

/** Numbers of entries differ with the order of tests: an entry is told by what it was and when. */
const named = (log: LogEntry[]) => log.map((each) => ({ ...each, id: `${each.kind} of ${each.on}` }));

const LATE: LogEntry[] = [
  entry('taken-in', 400),
  ...[entry('offered', 40), entry('eaten', 39), entry('watered', 20), entry('damped', 30), entry('cleaned', 200)],
  ...[entry('misted', 5), entry('turned', 200), entry('refreshed', 400), entry('counted', 100), entry('weighed', 90)],
];
const FRESH: LogEntry[] = [
  entry('taken-in', 30),
  ...[entry('watered', 0), entry('damped', 1), entry('cleaned', 0), entry('misted', 0), entry('calcium', 3)],
  ...[entry('offered', 1), entry('moved', 10), entry('battery', 10), entry('searched', 1)],
];
const outlook = (daysAgo: number, more: Partial<MoultOutlook> = {}): MoultOutlook => ({
  ...{ asOf: ago(daysAgo), premoultPct: 40, byNextOfferPct: 70, medianOn: addDays(TODAY, 9), closeDays: 12 },
  ...{ signs: ['refused-food'], ...more },
});
const watering = {
  ...{ dueOn: ago(1), holdsDays: 21, waterMl: 43, dampWetness: 0.38, dampWetnessMin: 0.4 },
  ...{ by: 'damped' as const, since: ago(22), way: 'at-end' as const },
};
const alarm = { kind: 'too-dry' as const, since: 0, hours: 80, value: 48, limit: 65, probe: 'C2', probeId: 'p1' };

function one(profileId: string, log: LogEntry[], more: Partial<ResidentToday> = {}, share = 0.7): ResidentToday {
  const profile = profileOf(profileId);
  return {
    ...{ profile, larder: LARDER, hemisphere: 'north' as const, home: { container, substrateDepthMm: 60 } },
    stage: profile.stages.at(-1) ?? 'adult',
    [profile.measure.takes]: profile.growth.grownMm.value * share,
    log: named(log),
    ...more,
  };
}

const ANT_REST = shippedRests.find((each) => each.profiles.includes('ant-small-temperate')) as RestingKind;
function resting(done: [string, number][], alarms: ProbeAlarm[] = []): Partial<ResidentToday> {
  // Its season in the south: the same months as the days here.
  const plan = restPlan({ kind: ANT_REST, hemisphere: 'south', asOf: ago(30), startOn: ago(12), roomC: 22, placeC: 6 });
  const days = new Map(done.map(([step, daysAgo]) => [step, ago(daysAgo)]));
  return { rest: { id: 'rest', course: restCourse(plan, ANT_REST, days, TODAY), alarms, places: [] } };
}

const SPIDERS: [string, ResidentToday][] = [
  ['whose every work is late', one('ground-tarantula', LATE, { batterySince: ago(400) })],
  ['that had all', one('ground-tarantula', FRESH, { batterySince: ago(400) })],
  ['that was just taken in', one('ground-tarantula', [entry('taken-in', 0)])],
  ['of which nothing is written', one('jumping-spider', [])],
  [
    'that refused, likely of a moult',
    one('ground-tarantula', [...LATE, entry('offered', 3), entry('refused', 2)], {
      outlooks: [outlook(2), outlook(0)],
    }),
  ],
  [
    'that refused, and is unlikely to moult',
    one('ground-tarantula', [...LATE, entry('offered', 8), entry('refused', 7)], {
      outlooks: [outlook(7, { byNextOfferPct: 49 })],
    }),
  ],
  [
    'whose quiet is over',
    one('ground-tarantula', [...LATE, entry('offered', 60), entry('refused', 59)], {
      outlooks: [outlook(59, { medianOn: ago(40) })],
    }),
  ],
  [
    'whose quiet is over, and was looked at',
    one('ground-tarantula', [...LATE, entry('refused', 59), entry('looked', 2)], {
      outlooks: [outlook(59, { medianOn: ago(40) })],
    }),
  ],
  ['that is dark', one('ground-tarantula', [...LATE, entry('sign', 4, { sign: 'dark' })])],
  [
    'that hangs',
    one('tree-tarantula', [...LATE, entry('sign', 0, { sign: 'hanging' })], { schools: { air: 'mist-to-a-number' } }),
  ],
  ['that moulted two days ago', one('ground-tarantula', [...FRESH, entry('moulted', 2)])],
  [
    'that moulted three weeks ago, and was measured',
    one('ground-tarantula', [...LATE, entry('moulted', 21), entry('measured', 20, { hasSize: true })]),
  ],
  [
    'that was offered today and is dark',
    one('ground-tarantula', [...LATE, entry('offered', 0), entry('sign', 0, { sign: 'dark' })]),
  ],
  ['that is buried for long', one('burrowing-tarantula', [...LATE, entry('sign', 50, { sign: 'buried' })])],
  [
    'that was looked for',
    one('burrowing-tarantula', [...LATE, entry('sign', 90, { sign: 'sealed' }), entry('looked', 15)]),
  ],
  ['whose soil dries', one('burrowing-tarantula', FRESH, { watering })],
  ['whose soil is far too dry', one('burrowing-tarantula', LATE, { watering: { ...watering, dueOn: ago(9) } })],
  [
    'in dry air',
    one('burrowing-tarantula', FRESH, {
      watering: { ...watering, dueOn: TODAY, by: 'dry-air', dryAir: { humidityPct: 48, minPct: 65, hours: 80 } },
      alarms: [alarm],
    }),
  ],
  [
    'with alarms',
    one('burrowing-tarantula', FRESH, {
      alarms: [alarm, { ...alarm, kind: 'silent' }, { ...alarm, kind: 'too-warm' }],
    }),
  ],
  [
    'that is to move',
    one('ground-tarantula', FRESH, {
      move: { id: 'm', toHomeId: 'h', toCode: 'B2', on: ago(3), from: ago(9), until: ago(1) },
    }),
  ],
  [
    'that moves in a week',
    one('ground-tarantula', FRESH, {
      move: { id: 'm', toHomeId: 'h', toCode: 'B2', on: addDays(TODAY, 7), from: TODAY, until: addDays(TODAY, 9) },
    }),
  ],
  ['in too little soil', one('burrowing-tarantula', FRESH, { home: { container, substrateDepthMm: 10 } })],
  ['in a box that is too small', one('ground-tarantula', FRESH, {}, 2)],
  [
    'with papers that end',
    one('ground-tarantula', [
      ...FRESH,
      entry('paper', 300, { paper: { title: 'Import', expiresOn: addDays(TODAY, 20) } }),
    ]),
  ],
  [
    'with papers to renew next month',
    one('ground-tarantula', [
      ...FRESH,
      entry('paper', 300, { paper: { title: 'Import', expiresOn: addDays(TODAY, 75) } }),
      entry('paper', 30, { paper: { title: 'Permit', expiresOn: null } }),
    ]),
  ],
  [
    'whose meal was put off',
    one('ground-tarantula', [
      ...LATE,
      entry('skipped', 0, { skip: { job: 'feed', until: addDays(TODAY, 3), why: 'asleep' } }),
      entry('skipped', 2, { skip: { job: 'clean', until: addDays(TODAY, 9), why: 'no-time' } }),
    ]),
  ],
];
const OTHERS: [string, ResidentToday][] = [
  [
    'a group of stick insects',
    one('stick-insect', [...LATE, entry('offered', 11)], { form: 'group', headCount: 12, stage: 'nymph' }),
  ],
  [
    'stick insects with fresh leaves',
    one('stick-insect', [...LATE, entry('offered', 0)], { form: 'group', headCount: 12 }),
  ],
  [
    'isopods',
    one('isopod-temperate', LATE, {
      form: 'colony',
      headCount: 500,
      watering,
      meals: [{ on: ago(7), dishes: [{ food: 'carrot', massG: 2 }], outcome: { kind: 'refused', on: ago(2) } }],
    }),
  ],
  ['guests', one('springtail', LATE, { form: 'colony', isGuest: true })],
  ['snails', one('land-snail', LATE, { form: 'group', headCount: 6 })],
  ['ants', one('ant-small-temperate', LATE, { form: 'colony', headCount: 60 })],
  [
    'a queen that is sealed in',
    one('ant-small-temperate', LATE, {
      form: 'colony',
      headCount: 0,
      founding: { since: ago(20), endsOn: addDays(TODAY, 30), isSealed: true },
    }),
  ],
  [
    'a queen whose workers are awaited',
    one('ant-small-temperate', [entry('taken-in', 90), entry('looked', 8)], {
      form: 'colony',
      headCount: 0,
      founding: { since: ago(90), endsOn: ago(10), isSealed: true },
    }),
  ],
  ['ants before their rest', one('ant-small-temperate', LATE, { form: 'colony', headCount: 60, ...resting([]) })],
  [
    'ants in their rest',
    one('ant-small-temperate', LATE, {
      form: 'colony',
      headCount: 60,
      ...resting(
        [
          ['count-1', 12],
          ['cool-1', 4],
          ['cool-2', 0],
        ],
        [alarm],
      ),
    }),
  ],
  [
    'a queen in her rest',
    one('ant-small-temperate', LATE, {
      form: 'colony',
      headCount: 0,
      founding: { since: ago(60), endsOn: null, isSealed: true },
      ...resting([]),
    }),
  ],
  [
    'millipedes',
    one('millipede-tropical', LATE, {
      form: 'group',
      headCount: 8,
      watering: { ...watering, dueOn: addDays(TODAY, 4) },
    }),
  ],
  ['a scorpion', one('forest-scorpion', LATE)],
  ['a mantis', one('mantis', LATE, { stage: 'nymph' }, 0.5)],
  ['moths', one('moth-tropical', LATE, { stage: 'larva' as never, form: 'group', headCount: 20 })],
];
const ALL = [...SPIDERS, ...OTHERS];

describe('the work of one, as it was reckoned', () => {
  it.each(ALL)('%s', (_, resident) => {
    const { jobs, ...rest } = dueWork(resident, TODAY);
    expect(inLines([...jobs, rest])).toMatchSnapshot('today');
    const { streams, ...closed } = workAhead(resident, TODAY, 90);
    const ahead = streams.map(({ next, ...stream }) => [Object.values(stream).slice(0, 4), next(0), next(40)]);
    expect(inLines([...ahead, closed])).toMatchSnapshot('ahead');
  });

  it('of every kind, late and fresh', () => {
    const of = shippedProfiles.flatMap(({ id }) =>
      [LATE, FRESH].map((log) => {
        const { jobs, waiting } = dueWork(one(id, log, { headCount: 3 }), TODAY);
        return [id, ...jobs.map(({ kind, dueOn, until, minutes }) => [kind, dueOn, until, minutes].join(' ')), waiting];
      }),
    );
    expect(inLines(of)).toMatchSnapshot();
  });
});

describe('the work of a house, as it was reckoned', () => {
  const house = ALL.map(([, today], index) => ({ id: `r${index}`, today }));

  it('levelled', () => {
    const { minutes, jobs } = planHouse(house, TODAY, 60, new Set([1, 2, 9]));
    expect(
      inLines([
        Array.from(minutes),
        ...[...jobs].map(([id, list]) => [
          id,
          list.map((job) => [job.kind, job.due, job.until, job.on].join(' ')).slice(0, 12),
          list.length,
        ]),
      ]),
    ).toMatchSnapshot();
  });

  it.each([
    [0, 3],
    [4, 18],
    [2, 80],
  ])('when nobody is there from day %d to day %d', (first, last) => {
    const residents = house.map((each, index) => ({ ...each, isDangerous: index % 5 === 0 }));
    const plan = absencePlan({ residents, today: TODAY, from: addDays(TODAY, first), until: addDays(TODAY, last) });
    const told = (tasks: { residentId: string; kind: string }[]) =>
      tasks.map(({ residentId, kind }) => `${residentId} ${kind}`).join(', ');
    const visits = [...plan.before, ...plan.visits].map(({ on, tasks }) => [on, told(tasks)]);
    expect(
      inLines([
        visits,
        plan.cannotWait.map((each) => Object.values(each).join(' ')),
        plan.neverOpen,
        plan.needsKeeper,
        plan.waits,
        plan.days,
      ]),
    ).toMatchSnapshot();
  });

  it('is refused for days that cannot be', () => {
    const asked = (first: number, last: number) => () =>
      absencePlan({ residents: [], today: TODAY, from: addDays(TODAY, first), until: addDays(TODAY, last) });
    for (const wrong of [asked(-1, 3), asked(3, 2), asked(0, 120)]) expect(wrong).toThrow(RangeError);
    expect(asked(0, 119)().days).toBe(120);
    expect(asked(2, 2)().days).toBe(1);
  });

  it('kept another way', () => {
    const flips = [
      [one('ground-tarantula', LATE), 'feeding', 'large-and-rarely'],
      [one('tree-tarantula', LATE, {}, 0.4), 'air', 'mist-to-a-number'],
      [one('ground-tarantula', FRESH), 'openings', 'one-cut-out'],
      [one('isopod-temperate', LATE, { headCount: 200 }), 'litter-food', 'prepared-food'],
    ] as const;
    const of = flips.map(([resident, topic, school]) => schoolChange(resident, keptBy(resident, topic, school), TODAY));
    expect(inLines(of)).toMatchSnapshot();
    const schools = [{ feeding: 'grow-on' }, { feeding: 'large-and-rarely', air: 'mist-to-a-number' }, {}];
    expect(
      inLines(schools.map((each) => contradictionsOf({ profile: profileOf('tree-tarantula'), schools: each }))),
    ).toMatchSnapshot();
  });

  it('handled', () => {
    const of = ['ground-tarantula', 'desert-scorpion', 'stick-insect', 'land-snail'].map((id, index) => {
      const { tools, steps, escape } = handlingSheet(
        shippedHandling,
        { kind: id, form: 'single' },
        shippedHazards.hazards.slice(index, index + 1),
      );
      return [id, tools, steps.map((step) => `${step.part} ${step.id}`), escape.length];
    });
    expect(inLines(of)).toMatchSnapshot();
  });
});

describe('a chain of moves, as it was reckoned', () => {
  it('by search, and as a programme', () => {
    for (const problem of [waitingHouse(8, 12, 40, 7, 0.5), waitingHouse(12, 12, 20, 3, 0.3)]) {
      expect(inLines(heuristicChain(problem))).toMatchSnapshot();
      const model = chainModel(problem);
      expect(Object.entries(model).map(([name, each]) => `${name}: ${String(each).length}`)).toMatchSnapshot();
    }
    expect(chainModel(waitingHouse(3, 4, 8, 5, 0.6))).toMatchSnapshot();
  });

  it('by who lives where', () => {
    const tub = (id: string, lengthMm: number, more = {}) => ({
      ...{
        id,
        code: id,
        container: { ...container, shape: 'box' as const, lengthMm, widthMm: lengthMm * 0.8 },
        substrateDepthMm: 120,
        ...more,
      },
    });
    const tenant = (id: string, legSpanMm: number, from: string | null, more: Partial<Tenant> = {}): Tenant => ({
      ...{ id, profile: profileOf('ground-tarantula'), stage: 'adult', legSpanMm, from, days: [0, 3, 9] },
      ...{ outgrownIn: null, mayMove: false, ...more },
    });
    const tubs = [tub('a', 120), tub('b', 310), tub('c', 260), tub('d', 600), tub('e', 310, { temperatureC: 5 })];
    const { problem, places, needs } = chainOfTenants(
      [
        ...[tenant('1', 118, 'a'), tenant('2', 100, null), tenant('3', 40, 'b', { mayMove: true })],
        ...[tenant('4', 90, 'c', { outgrownIn: 20 }), tenant('5', 118, 'd')],
      ],
      tubs,
      30,
      2,
      1,
    );
    expect(inLines([needs, ...places, ...problem.movers])).toMatchSnapshot();
  });
});
