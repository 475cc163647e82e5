import type { BodyMeasure } from '@/core/profiles/profile';

export const MEASURE_WORDS: Record<BodyMeasure, string> = {
  legSpanMm: 'Leg span',
  bodyLengthMm: 'Body length',
  carapaceWidthMm: 'Carapace width',
};

const grams = (massG: number) =>
  `${massG < 1 ? massG.toPrecision(2) : massG < 10 ? massG.toFixed(1) : Math.round(massG)} g`;

/** Within these times the usual weight an animal counts as usual; from memory: before and after a large meal. */
const USUAL_TIMES = { from: 0.7, to: 1.35 } as const;

/** Its weight against what is usual for its length; null where neither is known. */
export function massWords(massG: number | undefined, usualG: number | null): string | null {
  if (massG === undefined)
    return usualG === null ? null : `Weight not taken; usual for its size about ${grams(usualG)}`;
  if (usualG === null) return `Weight ${grams(massG)}`;
  const times = massG / usualG;
  const against = times > USUAL_TIMES.to ? 'heavy' : times < USUAL_TIMES.from ? 'light' : 'as usual';
  return `Weight ${grams(massG)}, ${against} for its size (about ${grams(usualG)})`;
}
