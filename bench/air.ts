import { materials, profileOf } from '@/contract/testing/profileOf';
import { questionOf, USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import { forecastMoisture } from '@/core/climate/forecast';
import { followMoisture } from '@/core/climate/moisture';
import { saturationDensityKgM3 } from '@/core/climate/psychrometrics';
import { ventPlan } from '@/core/climate/ventPlan';
import { wateringOutlook } from '@/core/climate/watering';
import type { Container } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { median, row } from './measure';

const STEPS = 30 * 24 * 6;
const profile = profileOf('isopod-temperate');
const recipe = [
  { material: 'coir' as const, parts: 3 },
  { material: 'leaf-litter' as const, parts: 2 },
];
const room = { ...USUAL_ROOM, dailySwingK: 1.5 };

/** A shelf of different boxes; the same each time. */
const boxes = Array.from({ length: 500 }, (_, index) => {
  const container: Container = {
    shape: 'box',
    lengthMm: 150 + ((index * 37) % 400),
    widthMm: 100 + ((index * 53) % 300),
    heightMm: 100 + ((index * 71) % 300),
    lid: 'solid',
    vents: (['left', 'right'] as const).map((side) => ({
      side,
      shape: 'hole',
      count: 2 + (index % 14),
      diameterMm: 3,
      centreHeightMm: 90,
    })),
  };
  const home = { container, substrateDepthMm: 50, litterDepthMm: 10 };
  return { container, question: questionOf(profile, 'adult', home, room, recipe, materials, 30) };
});

/** Engine 4: what it costs beside the one formula it cannot do without, asked as often. */
export function benchAir(): void {
  const fine = boxes.map(({ question }) => ({ ...question, stepMinutes: 10 }));
  const steady = fine.map((each) => ({ ...each, room: { ...each.room, dailySwingK: 0 } }));
  let sink = 0;
  row(
    'baseline: the saturation formula alone, 500 x 30 days x 10 min',
    median(() => {
      for (let step = 0; step < 500 * STEPS; step += 1) sink += saturationDensityKgM3(20 + (step % 7));
    }),
    '',
  );
  row(
    'moisture: 500 boxes x 30 days x 10 min, steady room',
    median(() => steady.map(followMoisture)),
    'limit 1500 ms',
  );
  const before = process.memoryUsage();
  let kept: unknown;
  row(
    'moisture: the same, the room swinging daily',
    median(() => (kept = fine.map(followMoisture))),
    'limit 1500 ms',
  );
  const after = process.memoryUsage();
  const grownMb = (after.heapUsed + after.arrayBuffers - before.heapUsed - before.arrayBuffers) / 1e6;
  console.log(
    `  memory held by the 500 courses and their garbage: ${grownMb.toFixed(0)} MB (limit 200 MB); ${kept ? '' : sink}`,
  );
  const [first] = fine;
  if (first)
    row(
      'moisture: one box, 30 days x 10 min',
      median(() => forecastMoisture(first)),
      'limit 10 ms',
    );
  const [box] = boxes;
  if (!box) return;
  const { wetness } = box.question;
  const wishes = { humidityPct: profile.climate.humidityPct, redampDays: 14, airChangesPerHour: 1, maxHoleMm: 20 };
  const filling = { soil: flat(50), recipe, dampSharePct: 50, litterDepthMm: 10 };
  row(
    'holes: one box, every number and width of hole, 90 days each',
    median(() => ventPlan({ container: box.container, filling, wetness, room, warmingK: 0, wishes }, materials)),
    '',
  );
  for (const count of [150, 300, 600]) {
    const some = boxes.concat(boxes).slice(0, count);
    row(
      `round: when ${count} homes are to be damped`,
      median(() =>
        some.map(({ question }) =>
          wateringOutlook(
            question,
            wishesOf(profile),
            [{ kind: 'damped', on: '2026-03-01', shortMl: 0 }],
            '2026-03-14',
          ),
        ),
      ),
      'grows with the homes',
    );
  }
}
