import type { ResidentMoult } from '@/contract/growth';
import { profileOf } from '@/contract/testing/profileOf';
import { moultForecast } from '@/core/growth/forecast';
import { outgrownAtMm } from '@/core/growth/outgrown';
import type { Container } from '@/core/housing/container';
import { adultWords, moultGrounds, moultWords, outgrownWords, premoultWords } from './moult';
import { temperatureWords } from './temperature';
import { lengthWords } from '@/words/lengths';

const TODAY = '2026-03-14';
const mm = lengthWords('mm');
const profile = profileOf('ground-tarantula');
const container: Container = { shape: 'box', lengthMm: 170, widthMm: 130, heightMm: 100, lid: 'solid', vents: [] };
const outgrownMm = outgrownAtMm(profile, { stage: 'juvenile', legSpanMm: 58 }, { container, substrateDepthMm: 45 });
const answer = {
  asOf: TODAY,
  outgrownMm,
  temperatureC: 24,
  temperatureFrom: 'probe',
  isGroup: false,
  forecast: moultForecast({
    profile,
    stage: 'juvenile',
    moults: [{ on: '2026-01-20', sizeMm: 58 }],
    signs: ['dark'],
    asOf: TODAY,
    outgrownMm,
  }),
} as ResidentMoult;

describe('a moult to come', () => {
  it('is told by its window and its chance', () => {
    const next = { p10: '2026-04-02', median: '2026-05-04', p90: '2026-06-09' };
    const pcts = { within7DaysPct: 0, within30DaysPct: 34.4, within90DaysPct: 90 };
    expect(moultWords({ ...next, ...pcts }, TODAY)).toBe('Likely between 2 Apr and 9 Jun, about 4 May');
    expect(moultWords({ p10: TODAY, median: TODAY, p90: TODAY, ...pcts }, TODAY)).toBe('Any day now');
    expect(premoultWords(answer.forecast)).toMatch(
      /^\d+ % within 28 days by the calendar, \d+ % with the signs noticed\.$/,
    );
  });
  it('tells sizes, the home outgrown, and what it rests on', () => {
    expect(adultWords(answer.forecast, mm)).toMatch(/^After it \d+ mm to \d+ mm\. \d( to \d)? moults to full size\.$/);
    expect(outgrownWords(answer, 'A6', true)).toMatch(/^A6 is outgrown about .*, not before /);
    expect(outgrownWords({ ...answer, outgrownMm: null }, 'A6', true)).toBe('A6 is large enough for life.');
    expect(outgrownWords({ ...answer, outgrownMm: null }, 'A6', false)).toBe('A6 does not fit it now.');
    const lines = moultGrounds(answer, 'ground tarantula', temperatureWords('C'));
    expect(lines[0]).toBe(
      'Usual for a ground tarantula of this stage at 24 C, by the probe in its box: 110 days from moult to moult (from memory).',
    );
    expect(lines.join(' ')).toContain('“dark” counts 5.0 times');
  });
  // Common practice, no source: the floor is about twice the leg span wide; 130 mm serve up to 65 and are watched a little over.
  it('outgrows a box where its rules say so', () => {
    expect(outgrownMm).toBeGreaterThan(60);
    expect(outgrownMm).toBeLessThan(90);
    expect(
      outgrownAtMm(profile, { stage: 'juvenile', legSpanMm: 150 }, { container, substrateDepthMm: 45 }),
    ).toBeNull();
  });
});
