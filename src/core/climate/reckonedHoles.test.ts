import { materials } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { inLines } from '@/core/testing/inLines';
import { ventPlan, type VentPlanQuestion, type VentWishes } from './ventPlan';

/* Plans as they were when they were last looked over; beside `reckoned.test.ts`, because each takes a second. */
type Box = Extract<Container, { shape: 'box' }>;
const tub = (more: Partial<Box> = {}): Container => ({
  ...{ shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 150, lid: 'solid', vents: [] },
  ...more,
});
const MIX = [
  { material: 'coir' as const, parts: 3 },
  { material: 'leaf-litter' as const, parts: 1 },
];
const ROOM = { temperatureC: 24, relativeHumidityPct: 45, draughtMS: 0.1 };

describe('holes for a band, as they were reckoned', () => {
  const wishes: VentWishes = { humidityPct: { min: 70, max: 96 }, redampDays: 10, airChangesPerHour: 2, maxHoleMm: 6 };
  const plan = (more: Partial<VentWishes> = {}, rest: Partial<VentPlanQuestion> = {}) => {
    const { best, tradeOff, relax } = ventPlan(
      {
        container: tub(),
        filling: { soil: flat(50), recipe: MIX, dampSharePct: 50 },
        ...{ wetness: { damp: 0.7, dry: 0.3 }, room: ROOM, warmingK: 0 },
        wishes: { ...wishes, ...more },
        ...rest,
      },
      materials,
    );
    return [
      best,
      relax,
      tradeOff.length,
      ...tradeOff.filter((_, index) => index % 8 === 0).map(({ vents, ...each }) => ({ ...each, vents: vents.length })),
    ];
  };
  it.each<[string, Partial<VentWishes>, Partial<VentPlanQuestion>?]>([
    ['as they are wished', {}],
    ['that cannot be, over a wetness', { redampDays: 40, airChangesPerHour: 15, dampWetnessMin: 0.65 }],
    ['for the smallest', { maxHoleMm: 0.7, airChangesPerHour: 1 }],
    ['as one cut-out', { openings: 'one-cut-out', redampDays: 4 }],
    ['on the sides that are free', {}, { container: tub({ heightMm: 150, coveredSides: ['left', 'right'] }) }],
    ['in glass', { redampDays: 4 }, { container: tub({ heightMm: 300, walls: 'glass' }) }],
    ['of a box that is full to the top', {}, { filling: { soil: flat(118), recipe: MIX, dampSharePct: 50 } }],
    [
      'of a jar',
      { redampDays: 4 },
      { container: { shape: 'cylinder', diameterMm: 120, heightMm: 180, lid: 'solid', vents: [] } },
    ],
  ])('%s', (_, more, rest = {}) => {
    expect(inLines(plan(more, rest))).toMatchSnapshot();
  });
});
