import Papa from 'papaparse';
import type { Home, Resident } from '@/contract/records';
import type { Day } from '@/core/measure/day';
import type { CareBook } from '@/core/profiles/careBook';
import { readPastedLog, type PastedLine } from '@/core/records/pastedLog';

/** The lines of a pasted table, read against who lives here: tabs, commas or semicolons between the cells. */
export function pastedLines(
  text: string,
  house: { residents: Resident[]; homes: Home[]; care: CareBook },
  today: Day,
): PastedLine[] {
  if (text.trim() === '') return [];
  const { data } = Papa.parse<string[]>(text.trim(), { delimitersToGuess: ['\t', ';', ','] });
  const codes = new Map(house.homes.map((home) => [home.id, home.code]));
  const known = house.residents.map((resident) => ({
    id: resident.id,
    names: [codes.get(resident.homeId), resident.called, resident.scientificName].flatMap((name) => name ?? []),
    takes: house.care.of(resident).measure.takes,
    isGroup: resident.form !== 'single',
  }));
  return readPastedLog(data, known, today);
}
