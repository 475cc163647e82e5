import { profileOf } from '@/contract/testing/profileOf';
import { moultForecast } from '@/core/growth/forecast';
import { normalQuantile } from '@/core/numerics/normal';
import { addDays } from '@/core/measure/day';
import { median, row } from './measure';

const TODAY = '2026-03-14';
const profile = profileOf('ground-tarantula');
const residents = Array.from({ length: 1000 }, (_, index) => ({
  profile,
  stage: 'juvenile' as const,
  asOf: TODAY,
  moults: Array.from({ length: index % 5 }, (_, moult) => ({
    on: addDays(TODAY, -(20 + (index % 90) + moult * 110)),
    sizeMm: 60 / 1.25 ** moult,
  })),
}));

/** Engine 5: moults of a house full of residents, 4,000 draws each. */
export function benchGrowth(): void {
  let sink = 0;
  row(
    'baseline: 4,000,000 normal quantiles and no more',
    median(() => {
      for (let draw = 0; draw < 4_000_000; draw += 1) sink += normalQuantile(((draw % 4000) + 0.5) / 4000);
    }),
    sink === 0 ? '' : '',
  );
  row(
    'moult: the next of 1,000 residents x 4,000 draws',
    median(() => residents.map((each) => moultForecast({ ...each, ahead: 1 }))),
    'limit 1000 ms',
  );
  row(
    'moult: the next five, with sizes, of 100 residents',
    median(() => residents.slice(0, 100).map((each) => moultForecast(each))),
    '',
  );
}
