import type { Form } from '../profiles/profile';

interface Group {
  form: Form;
  scientificName: string;
  profile: string;
}

/** Why two groups stay two: they are of other kinds, or of one of them only the eggs are there. Null where they can be made one. */
export function whyTwo(one: Group, other: Group): 'kinds' | 'eggs' | null {
  if (one.scientificName !== other.scientificName || one.profile !== other.profile) return 'kinds';
  return (one.form === 'eggs') === (other.form === 'eggs') ? null : 'eggs';
}
