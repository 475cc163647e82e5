import { withoutAuthor } from '@/core/measure/nameParts';
import { Refusal } from '@/core/refusal';

/** A name and the one that is used in its place now. */
export interface Synonym {
  name: string;
  nowNamed: string;
}

/** Where an old name leads: the name now in use, and those passed on the way to it. */
export interface NowNamed {
  name: string;
  via: string[];
}

/**
 * Follows a name through its synonyms to the one that leads no further. A name without one leads to itself.
 * The name that was asked for is never changed anywhere: whoever keeps it decides.
 * @throws Refusal at `synonyms` when a name leads round to itself, naming the circle
 */
export function nowNamed(name: string, synonyms: readonly Synonym[]): NowNamed {
  const next = new Map(synonyms.map((each) => [withoutAuthor(each.name), withoutAuthor(each.nowNamed)]));
  const via: string[] = [];
  let at = withoutAuthor(name);
  for (let to = next.get(at); to !== undefined && to !== at; to = next.get(at)) {
    via.push(at);
    if (via.includes(to)) {
      const circle = [...via.slice(via.indexOf(to)), to].join(' → ');
      throw new Refusal([
        { path: 'synonyms', message: `Must lead to a name that is in use; these lead round in a circle: ${circle}.` },
      ]);
    }
    at = to;
  }
  return { name: at, via };
}
