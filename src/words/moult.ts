import { hadItsLastMoult } from '@/core/growth/moulting';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { countWords } from './count';
import type { ResidentMoult } from '@/contract/growth';
import { dayWords, daysWords } from './days';
import { signWords } from './jobs';
import type { TemperatureWords } from './temperature';
import { capital } from './text';
import type { LengthWords } from './lengths';

type Forecast = ResidentMoult['forecast'];

/** "Likely between 2 Apr and 9 June, about 4 May". */
export function moultWords({ p10, median, p90 }: NonNullable<Forecast['next']>, today: string): string {
  if (p90 <= today) return 'Any day now';
  return `Likely between ${dayWords(p10, today)} and ${dayWords(p90, today)}, about ${dayWords(median, today)}`;
}

/** Why no moult is foretold of a kind at a stage. */
export function noMoultWords(profile: CareProfile, stage: Stage): string {
  if (profile.silhouette === 'snail') return 'It grows without moulting.';
  if (hadItsLastMoult(profile, stage)) return 'It is grown, and moults no more.';
  if (stage === 'pupa') return 'It rests as a pupa: what comes out is grown.';
  return 'Nobody sees each of them moult: they are counted.';
}

/** "34 % within 25 days by the calendar, 78 % with the signs noticed". */
export function premoultWords({ premoultPct, grounds }: Forecast): string {
  const calendar = `${Math.round(grounds.priorPct)} % within ${daysWords(grounds.closeDays)} by the calendar`;
  return grounds.signs.length === 0
    ? `${calendar}.`
    : `${calendar}, ${Math.round(premoultPct)} % with the signs noticed.`;
}

/** Under this chance nobody is asked whether it has moulted unseen. %, chosen here */
const WORTH_SAYING_PCT = 15;

/** "It may have moulted unseen: 35 %. A shed skin or a new size settles it."; null where that is unlikely. */
export function unseenWords({ unseenPct }: Pick<Forecast, 'unseenPct'>): string | null {
  if (unseenPct < WORTH_SAYING_PCT) return null;
  return `It may have moulted unseen: ${Math.round(unseenPct)} %. A shed skin or a new size settles it.`;
}

/** "After it about 58 to 66 mm; 4 to 6 moults to full size". */
export function adultWords({ sizeMm, moultsToAdult }: Forecast, length: LengthWords): string | null {
  const [first] = sizeMm;
  if (!first) return null;
  const size = `After it ${length.long(Math.round(first.p10))} to ${length.long(Math.round(first.p90))}.`;
  if (!moultsToAdult || moultsToAdult.median <= 0) return `${size} It is about as large as its kind becomes.`;
  const { p10, p90 } = moultsToAdult;
  return `${size} ${p10 === p90 ? p10 : `${p10} to ${p90}`} ${p90 === 1 ? 'moult' : 'moults'} to full size.`;
}

/** When its home is outgrown. */
export function outgrownWords({ forecast, outgrownMm, asOf }: ResidentMoult, code: string, fitsNow: boolean): string {
  if (outgrownMm === null) return fitsNow ? `${code} is large enough for life.` : `${code} does not fit it now.`;
  if (!forecast.outgrown) return `${code} is large enough for the moults in this forecast.`;
  return `${code} is outgrown about ${dayWords(forecast.outgrown.median, asOf)}, not before ${dayWords(forecast.outgrown.p10, asOf)}.`;
}

/** What the growth chart shows. */
export const growthCaption = (measure: string, unit: string, code: string): string =>
  `${capital(measure)}, ${unit}; dotted, the size from which ${code} is too small`;

/** What the forecast rests on, line by line. */
export function moultGrounds(
  { forecast, temperatureC, temperatureFrom, isGroup }: ResidentMoult,
  kind: string,
  temperature: TemperatureWords,
): string[] {
  const { usualDays, paceTimes, ownIntervals, siblings, otherAnimals, growthTimes, closeDays, signs, basis } =
    forecast.grounds;
  const where = temperatureFrom === 'probe' ? 'by the probe in its box' : 'by its room and its heat';
  return [
    ...(isGroup ? ['Of a group: a moult is the day on which half of it had come to the next instar.'] : []),
    `Usual for a ${kind} of this stage at ${temperature.long(temperatureC)}, ${where}: ${daysWords(Math.round(usualDays ?? 0))} from moult to moult (${basis}).`,
    `Its own pace is reckoned at ${paceTimes.toFixed(2)} times that, from ${countWords(ownIntervals, 'interval')} of its own, ${countWords(siblings, 'sibling')} and ${countWords(otherAnimals, 'other')} of its species.`,
    `It grows ${growthTimes.toFixed(2)} times at a moult.`,
    ...signs.map(
      ({ sign, times }) =>
        `“${signWords(sign)}” counts ${times.toFixed(1)} times: seen that much more often within ${daysWords(closeDays)} of a moult (${basis}).`,
    ),
    'Four fifths of all moults fall within the window given.',
  ];
}
