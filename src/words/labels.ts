import type { LabelWords } from '@/core/labels/drawLabel';
import { slantedName } from '@/core/measure/slantedName';
import type { Home, Resident } from '@/contract/records';
import { fullDayWords } from './days';

/** Whom a label is for: a resident with the dangers of its kind and whoever lives with it. */
export interface Labelled {
  home: Pick<Home, 'code'>;
  resident: Resident;
  hazards: readonly string[];
  /** Those in the same box that have no label of their own. */
  others: readonly Pick<Resident, 'scientificName'>[];
}

/** What the label of a box says of who lives there. */
export function labelWords({ home, resident, hazards, others }: Labelled): LabelWords {
  const { called, commonName, scientificName, sex, takenInOn, permit, form } = resident;
  const known = sex === 'unknown' || form !== 'single' ? [] : [sex];
  return {
    code: home.code,
    ...(called !== null && { called }),
    name: slantedName(scientificName),
    ...(commonName !== null && { commonName }),
    life: [...known, `since ${fullDayWords(takenInOn)}`].join(', '),
    hazards: [...hazards],
    ...(permit !== null && { permit: `permit ${permit}` }),
    ...(others.length > 0 && { others: `with ${others.map((each) => each.scientificName).join(', ')}` }),
  };
}

/** The label of a box in which nobody lives. */
export const freeLabelWords = ({ code }: Pick<Home, 'code'>): LabelWords => ({
  ...{ code, name: [], hazards: [], life: 'free box' },
});

/** A label in a line: "B3, Grammostola pulchra (Big one)". */
export const labelTitle = ({ code, called, name }: LabelWords): string =>
  [code, name.map(({ text }) => text).join(' '), called === undefined ? '' : `(${called})`]
    .filter((part) => part !== '')
    .join(' ');
