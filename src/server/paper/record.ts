import type { Home, Resident } from '@/contract/records';
import type { Entry } from '@/contract/storedEntries';
import { fullDayWords } from '@/words/days';
import { entryWords } from '@/words/entries';
import { leftWords, lifeWords } from '@/words/residents';
import type { PaperAsked } from './asked';
import { cautionLine } from './caution';
import { block, fact, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';

/** On paper no day is near today: each is written with its year. */
const NO_DAY = '0001-01-01';

/** Where one comes from, as far as it is known. @param kin what those it may come of are called, by their ids */
export function originFacts(
  { bornOn, motherId, fatherId, outOfId, batch, source, permit }: Resident,
  kin: ReadonlyMap<string, string>,
): PaperPart[] {
  const of = (id: string | null) => (id === null ? undefined : kin.get(id));
  return [
    ...fact('Hatched', bornOn === null ? null : fullDayWords(bornOn)),
    ...fact('Mother', of(motherId)),
    ...fact('Father', of(fatherId)),
    ...fact('Came out of', of(outOfId)),
    ...fact('Batch', batch),
    ...fact('Came from', source),
    ...fact('Permit', permit),
  ];
}

type Left = Parameters<typeof leftWords>[0];

/** Everything that was written about one, the oldest first. */
export function recordSheet(
  {
    resident,
    home,
    entries,
    isCut,
    kin,
  }: {
    resident: Resident & Partial<Left>;
    home: Home | undefined;
    entries: readonly Entry[];
    /** More was written than is handed in: the oldest is left out. */
    isCut: boolean;
    kin: ReadonlyMap<string, string>;
  },
  on: string,
  { names, length, paper }: PaperAsked,
): PaperSheet {
  const { leftBy, leftOn } = resident;
  const entryPart = (entry: Entry, index: number): PaperPart[] => {
    const sameDay = entries[index - 1]?.on === entry.on;
    const by = entry.keeper === null ? '' : `by ${entry.keeper}`;
    const note = entry.note === null || ['noted', 'photo'].includes(entry.kind) ? '' : entry.note;
    const under = [note, by].filter((part) => part !== '').join('; ');
    return fact(
      sameDay ? ' ' : fullDayWords(entry.on),
      entryWords(entry, length, names, NO_DAY),
      under === '' ? undefined : under,
    );
  };
  return {
    ...{ title: 'Record', subtitle: `${resident.called ?? resident.scientificName}, as of ${fullDayWords(on)}`, paper },
    parts: [
      whoLine(home?.code ?? '', resident.scientificName, resident.called),
      ...cautionLine(resident),
      ...fact('Common name', resident.commonName),
      ...fact('As it is now', lifeWords(resident, length)),
      ...fact('Here since', fullDayWords(resident.takenInOn)),
      ...(leftBy !== undefined && leftOn !== undefined ? fact('Left', leftWords({ leftBy, leftOn }, NO_DAY)) : []),
      ...originFacts(resident, kin),
      heading('What was written down'),
      ...(entries.length === 0 ? [line('Nothing yet.')] : []),
      ...(isCut ? [line('What was written before this is left out here; it is in the tables and the backup.')] : []),
      ...entries.map((entry, index) => block(...entryPart(entry, index))),
    ],
  };
}
