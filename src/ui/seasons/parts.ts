/** The parts of what is coming, in the order in which they are read. */
export const SEASONS_PARTS = [
  { value: 'ahead', title: 'Ahead' },
  { value: 'moves', title: 'Moves' },
  { value: 'away', title: 'Away' },
  { value: 'rest', title: 'Winter rest' },
  { value: 'broods', title: 'Broods' },
  { value: 'colonies', title: 'Colonies' },
] as const;
export type SeasonsPart = (typeof SEASONS_PARTS)[number]['value'];

/** The part that an address asks for; undefined where it asks for none. */
export const seasonsPart = (asked: string | undefined): SeasonsPart | undefined =>
  SEASONS_PARTS.find(({ value }) => value === asked)?.value;
