import type { GoneResident, Home, Resident } from '@/contract/records';
import type { BoxSize } from '@/core/housing/ladder';
import { isSized } from '@/core/profiles/animal';
import { dayWords } from './days';
import type { LengthWords } from './lengths';

/** What the keepers call an animal; its scientific name where it has no other. */
export function calledWords(resident: Pick<Resident, 'called' | 'scientificName'>): string {
  return resident.called ?? resident.scientificName;
}

/** The one measure that was taken, with its name; null of those that were only counted. */
export function sizeWords(resident: Resident, length: LengthWords): string | null {
  // Carried on over moults nobody measured it after: a round number.
  const rounded = (mm: number) => (mm < 10 ? Math.round(10 * mm) / 10 : Math.round(mm));
  const long = (mm: number) => (resident.sizeCarriedOn ? `about ${length.long(rounded(mm))}` : length.long(mm));
  if (resident.legSpanMm !== undefined) return `span ${long(resident.legSpanMm)}`;
  if (resident.bodyLengthMm !== undefined) return `length ${long(resident.bodyLengthMm)}`;
  return resident.carapaceWidthMm === undefined ? null : `carapace ${long(resident.carapaceWidthMm)}`;
}

/** Heads, sex (where known), stage and size in one line. */
export function lifeWords(resident: Resident, length: LengthWords): string {
  const { headCount, sex, stage, form, instar, massG } = resident;
  // Those that are followed by counts have grown on since: their number is that of the last one.
  const isOfThen = form === 'colony' || (form === 'group' && !isSized(resident));
  const heads = form === 'eggs' ? ' eggs' : isOfThen ? ' counted' : '';
  return [
    headCount === undefined || headCount === 0 ? null : `${headCount}${heads}`,
    sex === 'unknown' ? null : sex,
    form === 'eggs' ? null : stage,
    instar === undefined || form !== 'single' ? null : `instar ${instar}`,
    sizeWords(resident, length),
    massG === undefined ? null : `${massG} g`,
  ]
    .filter((word) => word !== null)
    .join(', ');
}

/** "300 x 200 x 150 mm". */
function lengthsWords(container: Home['container'], length: LengthWords): string {
  const lengths =
    container.shape === 'box'
      ? [container.lengthMm, container.widthMm, container.heightMm]
      : [container.diameterMm, container.heightMm];
  return `${lengths.map(length.short).join(' x ')} ${length.unit}`;
}

/** Inside lengths of a box. */
export const containerWords = ({ container }: Pick<Home, 'container'>, length: LengthWords): string =>
  `${container.shape === 'box' ? '' : 'round, '}${lengthsWords(container, length)} inside`;

/** A usual size of box: "flat box, 170 x 130 x 100 mm". */
export const boxSizeWords = ({ name, container }: Pick<BoxSize, 'name' | 'container'>, length: LengthWords): string =>
  `${name}, ${lengthsWords(container, length)}`;

const LEFT_WORDS: Record<GoneResident['leftBy'], string> = {
  died: 'died',
  'passed-on': 'passed on',
  'joined-into': 'joined another group',
};

/** "died 12 Oct". */
export function leftWords({ leftBy, leftOn }: Pick<GoneResident, 'leftBy' | 'leftOn'>, today: string): string {
  return `${LEFT_WORDS[leftBy]} ${dayWords(leftOn, today)}`;
}
