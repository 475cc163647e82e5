import type { SitterSheet } from '@/contract/plan';
import { fullDayWords, longDayWords } from '@/words/days';
import { NEVER_OPEN_WORDS, sitterTask } from '@/words/sheet';
import { alert, block, heading, line, whoLine, type Paper, type PaperPart, type PaperSheet } from './parts';

/** What whoever looks in does on which day, and what stays shut. */
export function sitterSheetPaper(sheet: SitterSheet, paper: Paper): PaperSheet {
  const { from, until, sitter, call, neverOpen, needsKeeper, visits, stock } = sheet;
  return {
    ...{ title: 'Looking in', paper },
    subtitle: `${longDayWords(from)} to ${fullDayWords(until)}${sitter === null ? '' : `, for ${sitter}`}`,
    parts: [
      ...(call === null ? [] : [alert(`If anything is wrong: ${call}`)]),
      alert('A bite, a sting, trouble breathing: the emergency services first.'),
      ...(neverOpen.length === 0 ? [] : [heading('Never open')]),
      ...neverOpen.map(({ code, scientificName, why, until: day }) =>
        whoLine(
          code,
          scientificName,
          null,
          `: ${NEVER_OPEN_WORDS[why]}${day === null ? '' : `, until about ${longDayWords(day)}`}`,
        ),
      ),
      ...(needsKeeper.length === 0
        ? []
        : [line(`Somebody who knows these has to come: ${needsKeeper.map(({ code }) => code).join(', ')}.`)]),
      ...(visits.length === 0 ? [line('No box needs anything in these days.')] : []),
      ...visits.flatMap(({ on, stops }) => [
        heading(longDayWords(on)),
        ...stops.map((stop) =>
          block(
            whoLine(stop.code, stop.scientificName, null, `   (${stop.room}, ${stop.shelf})`),
            ...stop.kinds.map((kind): PaperPart => ({ as: 'task', text: sitterTask(kind, stop) })),
          ),
        ),
      ]),
      ...(stock.length === 0 ? [] : [heading('Food for these days')]),
      ...stock.map(({ name, needed, unit }) => line(`${name}: ${needed} ${unit}`)),
    ],
  };
}
