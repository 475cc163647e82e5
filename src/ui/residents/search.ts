import type { Resident } from '@/contract/records';

export interface Sought {
  resident: Resident;
  /** Everything it may be looked for by, in small letters. */
  words: string;
}

/** What a resident is found by: its box, its names, its batch. */
export function soughtOf(resident: Resident, code: string): Sought {
  const { called, scientificName, commonName, batch, stage, sex } = resident;
  const words = [code, called, scientificName, commonName, batch, stage, sex === 'unknown' ? null : sex]
    .filter((word) => word !== null)
    .join(' ')
    .toLowerCase();
  return { resident, words };
}

/** Those that every word typed is found in. */
export function found<Each extends Sought>(all: readonly Each[], typed: string): readonly Each[] {
  const asked = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return asked.length === 0 ? all : all.filter(({ words }) => asked.every((word) => words.includes(word)));
}
