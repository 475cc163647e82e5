import type { Brood, Layer, MothFlight } from '@/contract/broods';
import type { SurplusPlan } from '@/core/broods/surplus';
import { bandWords, headsWords } from './colony';
import { dayWords } from './days';
import { gramsWords } from './food';
import type { LengthWords } from './lengths';
import type { TemperatureWords } from './temperature';

/** "12 Jan to 3 Mar, most about 4 Feb". */
export function hatchWords(forecast: NonNullable<Brood['forecast']>, today: string): string {
  if (forecast.isStanding) return 'Too cold here for anything to go on in them';
  if (forecast.weeks.length === 0) return 'Too old: nothing is likely to hatch any more';
  return `${dayWords(forecast.from, today)} to ${dayWords(forecast.to, today)}, the middle about ${dayWords(forecast.median, today)}`;
}

/** What keeping all of them would take in half a year. */
export function keptAllWords({ inHalfAYear: kept }: Brood, today: string, length: LengthWords): string | null {
  if (!kept) return null;
  if (kept.heads < 1) return `By ${dayWords(kept.on, today)} none of them are out yet.`;
  const size = kept.sizeMm === null ? '' : `, the oldest about ${length.long(kept.sizeMm)}`;
  const room = [
    ...(kept.boxes === null ? [] : [`${kept.boxes} boxes, one for each`]),
    ...(kept.litres === null ? [] : [`boxes of ${headsWords(kept.litres)} L in all`]),
  ].join(', ');
  const food =
    kept.preyPerWeek !== null
      ? `${headsWords(kept.preyPerWeek)} prey animals a week`
      : kept.foodGPerWeek !== null
        ? `${gramsWords(kept.foodGPerWeek)} of food a week`
        : '';
  const needs = [room, food].filter((word) => word !== '').join('; ');
  return `If all are kept: ${headsWords(kept.heads)} by ${dayWords(kept.on, today)}${size}${needs === '' ? '' : `; ${needs}`}.`;
}

/** What is to be done with those that have no place. */
export function surplusWords({ keep, passOn, feedOff, freezeEggs, mayExceedBy }: SurplusPlan): string {
  const places = [
    ...(keep > 0 ? [`${keep} to keep`] : []),
    ...(passOn > 0 ? [`${passOn} to pass on`] : []),
    ...(feedOff > 0 ? [`${feedOff} to feed off`] : []),
  ].join(', ');
  const freeze = freezeEggs === 0 ? 'no egg need be frozen' : `freeze ${freezeEggs} eggs now`;
  const more = mayExceedBy > 0 ? ` In one of ten batches ${mayExceedBy} more hatch than have a place.` : '';
  return `${places === '' ? 'None has a place' : places}: ${freeze}.${more}`;
}

/** Nobody finds leaves for them when they hatch. */
export const bareWords = (bareUntil: string, today: string): string =>
  `None of their plants is in leaf when they hatch, before ${dayWords(bareUntil, today)}: keep the eggs colder until then, ` +
  'or have potted or evergreen ones ready.';

/** "About 84 eggs a week, 1,200 (800 to 1,700) in all if they are collected." */
export function layersWords({ eggsPerWeek, eggsInAll, livesUntil, females }: Layer, today: string): string {
  const isMany = females >= 1.5;
  const who = isMany ? `About ${headsWords(Math.round(females))} of them` : 'It';
  return (
    `${who} may lay ${bandWords(eggsPerWeek)} eggs a week, ${bandWords(eggsInAll)} in all while ${isMany ? 'they live' : 'it lives'}, ` +
    `half of them until ${dayWords(livesUntil.median, today)} or later. As many as are collected: no box limits them.`
  );
}

/** When caterpillars spin, and what waits in its cocoon. */
export function chainWords(
  { spins, waiting, wakeC }: MothFlight,
  today: string,
  temperature: TemperatureWords,
): string[] {
  return [
    ...(spins
      ? [
          `Caterpillars spin about ${dayWords(spins.median, today)}, between ${dayWords(spins.from, today)} and ${dayWords(spins.to, today)}.`,
        ]
      : []),
    ...(waiting > 0
      ? [
          `${waiting === 1 ? '1 cocoon waits' : `${waiting} cocoons wait`}, for weeks to years. To bring them out: some weeks dry and cool, then wet and at ${temperature.long(wakeC)}.`,
        ]
      : []),
  ];
}

/** When moths come out, and what to do so that both sexes meet. */
export function meetingWords({ meeting, wakeC, pairC }: MothFlight, today: string, temperature: TemperatureWords) {
  if (!meeting) return [];
  const { female, male, hold, pairOn, meetPct } = meeting;
  const out = (name: string, window: typeof female) =>
    window
      ? `First ${name} out about ${dayWords(window.median, today)}, between ${dayWords(window.p10, today)} and ${dayWords(window.p90, today)}.`
      : `No ${name} among the cocoons.`;
  return [
    out('female', female),
    out('male', male),
    ...(hold
      ? [
          `Hold the ${hold.sex === 'female' ? 'females' : 'males'} back, dry and at ${temperature.long(hold.holdC)}, until ${dayWords(hold.until, today)}; ` +
            `then wet and at ${temperature.long(wakeC)}. That a pair is out together goes from ${Math.round(meetPct)} to ${Math.round(hold.meetPct)} %.`,
        ]
      : female && male
        ? [`They are out together in ${Math.round(meetPct)} of 100 cases: nothing need be held back.`]
        : []),
    ...(pairOn && female && male
      ? [`Likeliest night to pair: ${dayWords(pairOn, today)}, in a net overnight, near ${temperature.long(pairC)}.`]
      : []),
  ];
}

/** "about 40 (25 to 61) of 80 eggs". */
export const expectedWords = ({ forecast, eggs }: Brood) =>
  forecast ? `${bandWords(forecast.expected)} of ${eggs} eggs` : `${eggs} eggs`;
