import type { Handling } from '@/contract/handling';
import type { Home, Resident } from '@/contract/records';
import { HANDLING_PARTS } from '@/core/plan/handling';
import { onceDrilledWords } from '@/words/build';
import { fullDayWords } from '@/words/days';
import { CALL_FIRST, moveSoilWords, PART_TITLES } from '@/words/handling';
import { dangersOfResident } from '../dangers';
import type { PaperAsked } from './asked';
import { alert, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';

/** How one is moved: what lies ready, each step to be ticked, and what is done if it gets out. */
export function handlingSheetPaper(
  { tools, steps, escape, move }: Handling,
  { resident, home, to, on }: { resident: Resident; home: Home; to: Home | undefined; on: string },
  { length, paper }: PaperAsked,
): PaperSheet {
  const cautions = dangersOfResident(resident).hazards.map(({ text }) => alert(text));
  const where = to ? `${home.code} to ${to.code}, ${fullDayWords(move?.on ?? on)}` : `lives in ${home.code}`;
  return {
    ...{ title: 'Handling sheet', subtitle: `${resident.scientificName}, ${where}`, paper },
    parts: [
      whoLine(home.code, resident.scientificName, resident.called),
      ...cautions,
      ...(move?.drill && to ? [alert(`${to.code} is a home ${onceDrilledWords(move.drill, length)}`)] : []),
      ...(move && to ? [line(moveSoilWords(move, to.code, length, on))] : []),
      heading('Lies ready'),
      ...tools.map((tool): PaperPart => ({ as: 'task', text: tool })),
      ...HANDLING_PARTS.flatMap((part) => [
        heading(PART_TITLES[part]),
        ...steps.filter((step) => step.part === part).map(({ text }): PaperPart => ({ as: 'task', text })),
      ]),
      heading('If it gets out'),
      ...escape.map((text, index) => line(`${index + 1}. ${text}`)),
      alert(CALL_FIRST),
    ],
  };
}
