import type { Home, Resident } from '@/contract/records';
import type { ResidentMoult } from '@/contract/growth';
import type { Entry } from '@/contract/storedEntries';
import type { CardLine, CardPart } from '@/core/handbook/card';
import { moultsNoMore } from '@/core/growth/moulting';
import type { Dangers } from '@/core/profiles/hazards';
import type { CareProfile } from '@/core/profiles/profile';
import { cardLabel, cardValue, PART_WORDS } from '@/words/card';
import { daysWords, fullDayWords } from '@/words/days';
import { entryWords } from '@/words/entries';
import { CALL_FIRST } from '@/words/handling';
import { containerWords, lifeWords } from '@/words/residents';
import type { PaperAsked } from './asked';
import { originFacts } from './record';
import { alert, block, fact, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';

/** What of the care card a new keeper has to know on the first day. */
const FIRST: readonly CardPart[] = ['home', 'soil', 'air', 'warmth', 'food', 'moult'];
/** On paper no day is near today. */
const NO_DAY = '0001-01-01';

/** Who it is, how it was kept and fed, and what comes next: the page that goes with an animal. */
export function newKeeperSheet(
  {
    resident,
    home,
    entries,
    kin,
  }: { resident: Resident; home: Home | undefined; entries: readonly Entry[]; kin: ReadonlyMap<string, string> },
  {
    dangers,
    lines,
    next,
    profile,
  }: {
    dangers: Dangers;
    lines: readonly CardLine[];
    next: ResidentMoult['forecast']['next'] | null;
    profile: CareProfile;
  },
  on: string,
  { names, length, temperature, paper }: PaperAsked,
): PaperSheet {
  const last = (...kinds: Entry['kind'][]) => entries.findLast(({ kind }) => kinds.includes(kind));
  const told = (label: string, entry: Entry | undefined): PaperPart[] =>
    entry ? fact(label, entryWords(entry, length, names, NO_DAY), fullDayWords(entry.on)) : [];
  return {
    ...{
      title: resident.called ?? resident.scientificName,
      subtitle: `for its new keeper, ${fullDayWords(on)}`,
      paper,
    },
    parts: [
      whoLine('', resident.scientificName, resident.commonName),
      ...dangers.hazards.map(({ text }) => alert(text)),
      ...(dangers.law ? [line(dangers.law.text)] : []),
      ...fact('It is', lifeWords(resident, length)),
      ...originFacts(resident, kin),
      heading('As it lived here'),
      ...(home ? fact('Box', containerWords(home, length), `soil ${length.long(home.substrateDepthMm)}`) : []),
      ...fact('Warmth', home?.temperatureC === undefined ? null : temperature.long(home.temperatureC)),
      ...told('Last food', last('offered')),
      ...told('What became of it', last('eaten', 'refused')),
      ...told('Last moult', last('moulted')),
      ...told('Last measured', last('measured')),
      ...fact(
        'Next moult',
        next === null ? null : `about ${fullDayWords(next.median)}`,
        next === null
          ? undefined
          : `between ${fullDayWords(next.p10)} and ${fullDayWords(next.p90)}, eight times in ten`,
      ),
      heading('The first days'),
      line('Its box stands ready before it comes. Then it is left alone.'),
      ...(profile.feeding ? fact('First food', `${daysWords(profile.feeding.settleDays.value)} after it came`) : []),
      ...(moultsNoMore(profile, resident.stage)
        ? []
        : [line('One that seals itself in, turns dark or hangs is about to moult: nothing is done to it.')]),
      ...FIRST.flatMap((part): PaperPart[] => {
        const here = lines.filter((each) => each.part === part);
        if (here.length === 0) return [];
        const facts = here.flatMap((each) => fact(cardLabel(each), cardValue(each, temperature.long)));
        return [heading(PART_WORDS[part]), ...facts.map((each) => block(each))];
      }),
      line(CALL_FIRST, { isAlert: true }),
      line('Its whole record is a file that this program takes in.', { isSmall: true }),
    ],
  };
}
