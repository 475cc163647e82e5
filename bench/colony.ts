import { shippedPopulations } from '@/contract/shipped';
import type { PopulationKind } from '@/core/colony/kind';
import { projectColony } from '@/core/colony/project';
import { median, row } from './measure';

const COLONIES = 200;
const WEEKS = 104;
const DRAWS = 500;

/** Colonies and cultures of every kind; the same each time. */
const colonies = Array.from({ length: COLONIES }, (_, index) => {
  const kind = shippedPopulations[index % shippedPopulations.length] as PopulationKind;
  return {
    kind,
    counts: { [kind.adults]: 20 + ((index * 37) % 400) },
    queens: kind.laying.by === 'queen' ? 1 : 0,
    temperatureC: 20 + (index % 7),
    roomForHeads: 2000,
  };
});

/** Engine 7: colonies and cultures. */
export function benchColony(): void {
  row(
    'baseline: 200 x 104 weeks x 500 draws, grown by one rate each',
    median(() =>
      colonies.map(({ counts }) => {
        let total = 0;
        const begin = Object.values(counts)[0] ?? 0;
        for (let draw = 0; draw < DRAWS; draw += 1) {
          let heads = begin;
          for (let week = 0; week < WEEKS; week += 1) heads *= 1.01;
          total += heads;
        }
        return total;
      }),
    ),
    '',
  );
  row(
    'colonies: 200 x 104 weeks x 500 draws, stages with bands',
    median(() => colonies.map((each) => projectColony({ ...each, weeks: WEEKS, draws: DRAWS }).crowdedWeek)),
    'limit 2000 ms',
  );
}
