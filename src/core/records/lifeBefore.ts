import type { Day } from '../measure/day';

/** Something that was written about an animal in the house it came from. */
export interface Written {
  id: string;
  kind: string;
  on: Day;
  keeper: string | null;
  note: string | null;
  data: Readonly<Record<string, unknown>>;
}

/** An entry as it is written anew in the house that takes it in. */
export type WrittenAnew = Record<string, unknown> & { kind: string; on: Day; residentId: string };

/**
 * Kinds that are about the animal itself, and hold wherever it lives: its growth, its food, its signs, its eggs. What is about its
 * box, its plans and its papers stays in the house it left.
 */
const OF_ITSELF = [
  'moulted',
  'measured',
  'sexed',
  'sign',
  'offered',
  'eaten',
  'refused',
  'noted',
  'clutch',
  'paired',
] as const;

/** What a house notes of itself beside what its keeper wrote. */
const NOTED = ['inQuiet', 'alsoBy', 'mended'];
/** What came of a meal names it; what answered a job of that house answers nothing here. */
const MEAL = 'meal ';
const MEASURES = ['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm', 'massG', 'instar'];

/**
 * What of a life is told again in the house that takes the animal in: everything about itself from before it came, each once. The
 * size with which it was taken in where it lived becomes a measure of that day.
 * @param idOf gives an entry the id that it has here
 * @param arrived the day on which it comes; what is later is not of that house
 * @example lifeBefore(entries, { residentId, arrived: '2026-03-14', idOf: (id) => id })
 */
export function lifeBefore(
  entries: readonly Written[],
  { residentId, arrived, idOf }: { residentId: string; arrived: Day; idOf: (id: string) => string },
): WrittenAnew[] {
  return entries
    .filter(({ on }) => on <= arrived)
    .flatMap((entry): WrittenAnew[] => {
      const { id, kind, on, keeper, note } = entry;
      const told = { residentId, on, ...(keeper !== null && { keeper }), ...(note !== null && { note }) };
      if (kind === 'taken-in') {
        const measured = pick(entry.data, (name) => MEASURES.includes(name));
        return Object.keys(measured).length === 0 ? [] : [{ ...told, kind: 'measured', ...measured }];
      }
      if (!OF_ITSELF.some((each) => each === kind)) return [];
      const { answers, ...facts } = pick(entry.data, (name) => !NOTED.includes(name));
      const meal = typeof answers === 'string' && answers.startsWith(MEAL) ? answers.slice(MEAL.length) : undefined;
      const answering = meal === undefined ? {} : { answers: `${MEAL}${idOf(meal)}` };
      return [{ ...told, id: idOf(id), kind, ...facts, ...answering }];
    });
}

const pick = (data: Readonly<Record<string, unknown>>, takes: (name: string) => boolean): Record<string, unknown> =>
  Object.fromEntries(Object.entries(data).filter(([name]) => takes(name)));
