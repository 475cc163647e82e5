import type { SEXES } from '../profiles/profile';

type Sex = (typeof SEXES)[number];

/** Whether two of a species may have young together: they are not known to be of one sex. */
export const mayPair = (one: Sex, other: Sex): boolean => one === 'unknown' || other === 'unknown' || one !== other;
