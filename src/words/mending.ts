import type { Entry } from '@/contract/storedEntries';
import type { EntryVersion } from '@/contract/mending';
import { dayOfMoment, type Day } from '@/core/measure/day';
import { BODY_MEASURES, type BodyMeasure } from '@/core/profiles/profile';
import { dayWords } from './days';

/** A number in an entry that can be put right, with its label; `length` is typed in the keeper's unit. */
export interface MendField {
  name: string;
  label: string;
  is: 'length' | 'number' | 'text';
}

const MEASURE_LABELS: Record<BodyMeasure, string> = {
  legSpanMm: 'Leg span',
  bodyLengthMm: 'Body length',
  carapaceWidthMm: 'Carapace width',
};

const FIELDS: readonly MendField[] = [
  ...BODY_MEASURES.map((name) => ({ name, label: MEASURE_LABELS[name], is: 'length' as const })),
  { name: 'massG', label: 'Weight, g', is: 'number' },
  { name: 'headCount', label: 'How many', is: 'number' },
  { name: 'count', label: 'How many of them', is: 'number' },
  { name: 'instar', label: 'Instar', is: 'number' },
  { name: 'preyCount', label: 'Prey animals', is: 'number' },
  { name: 'preyLengthMm', label: 'Length of the prey', is: 'length' },
  { name: 'waterMl', label: 'Water, ml', is: 'number' },
  { name: 'eggs', label: 'Eggs found', is: 'number' },
  { name: 'frozen', label: 'Of them frozen', is: 'number' },
  { name: 'queens', label: 'Queens', is: 'number' },
  { name: 'substrateDepthMm', label: 'Depth of the soil', is: 'length' },
  { name: 'why', label: 'Why', is: 'text' },
  { name: 'to', label: 'To whom', is: 'text' },
  { name: 'paper', label: 'Papers', is: 'text' },
  { name: 'number', label: 'Their number', is: 'text' },
];

/** Kinds that tell a size, which can be added where it was not told. */
const SIZED: readonly Entry['kind'][] = ['taken-in', 'moulted', 'measured'];

/** What can be put right in an entry beside its day, its words and whom it is about. */
export function mendFields(entry: Pick<Entry, 'kind' | 'data'>, takes: BodyMeasure, isSingle: boolean): MendField[] {
  const names = Object.keys(entry.data);
  const more = SIZED.includes(entry.kind) ? [takes, 'massG', isSingle ? 'instar' : 'headCount'] : [];
  return FIELDS.filter(({ name }) => names.includes(name) || more.includes(name));
}

/** Kinds that come of another act: they are taken back, and done anew. */
const MADE: readonly Entry['kind'][] = ['parted', 'joined', 'joined-into'];
export const canBeMended = (kind: Entry['kind']): boolean => !MADE.includes(kind);

/** "Before Rook put it right today: 10 Feb, moulted, span 92 mm". */
export function versionWords(
  { on, changedAt, changedBy, note }: Pick<EntryVersion, 'on' | 'changedAt' | 'changedBy' | 'note'>,
  words: string,
  today: Day,
): string {
  const by = changedBy === null ? 'it was put right' : `${changedBy} put it right`;
  const said = note === null ? '' : ` (${note})`;
  return `Before ${by} ${dayWords(dayOfMoment(new Date(changedAt)), today)}: ${dayWords(on, today)}, ${words}${said}`;
}
