import type { RestingKind, RestWarning } from '@/core/season/rest';
import type { RestAct } from '@/core/season/restActs';
import type { RestPhase } from '@/core/season/restCourse';
import type { TemperatureWords } from './temperature';

/** What there is to say of a plan and its place. */
export function restWarningWords(
  warning: RestWarning,
  { place, placeC, roomC }: { place: string; placeC: number; roomC: number },
  { bandC, floorC }: Pick<RestingKind, 'bandC' | 'floorC'>,
  temperature: TemperatureWords,
): string {
  const stands = `${place} stands at ${temperature.long(placeC)}`;
  const band = `${temperature.long(bandC.min)} to ${temperature.long(bandC.max)}`;
  switch (warning) {
    case 'not-needed':
      return 'This kind may rest and need not: both ways are kept.';
    case 'late':
      return 'It begins later than usual; it ends in its season all the same.';
    case 'very-late':
      return 'It begins weeks late and is that much shorter.';
    case 'place-too-warm':
      return `Too warm: ${stands}, it should rest at ${band}. It goes on living fast and finds no food.`;
    case 'place-too-cold':
      return `Too cold: ${stands}, it should rest at ${band}. The steps stop above that: set it warmer, or find another place.`;
    case 'place-below-floor':
      return `Far too cold: ${stands}, and the kind bears ${temperature.long(floorC.value)} at the least. Do not put it there.`;
    case 'room-is-cool-enough':
      return `Its room, at ${temperature.long(roomC)}, is cool enough: it need not be carried away.`;
  }
}

/** Where a step can be kept; nothing for steps that change no place. */
export function stepPlaceWords(what: RestAct, place: string | null): string {
  if (what !== 'cool' && what !== 'warm') return '';
  return place === null ? 'no place of the house is so warm: part of the day in one, part in another' : place;
}

/** Warmer than this what rests wakes, and spends what it lives on. C, from memory */
const WAKES_C = 15;

/** What to do when the power has been away. */
export const powerCutWords = (temperature: TemperatureWords): string[] => [
  'Leave the refrigerator shut: full, it stays cold for about a day. Read the thermometer when the power is back.',
  'Up to a day a few degrees too warm harms nobody that rests. Do not feed them for it; look for water.',
  `Longer, or over ${temperature.long(WAKES_C)}: begin anew from the step that fits the warmth, by steps, without food.`,
  'After frost or below what they bear: into the next warmer place at once, not into a warm room. Look after a day.',
];

export const REST_PHASE_WORDS: Record<RestPhase, string> = {
  before: 'planned',
  cooling: 'cooling down',
  cold: 'in the cold',
  warming: 'warming up',
  over: 'over',
};
