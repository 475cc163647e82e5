import type { Round } from '@/contract/round';
import { cutAtOnce } from '@/words/kitchen';
import { countWords } from '@/words/count';
import { dayWords, fullDayWords, weekday } from '@/words/days';
import { waitingWords } from '@/words/doing';
import { jobReason, jobTitle, leaveAloneWords } from '@/words/jobs';
import { dangersOfResident } from '../dangers';
import type { HouseToday } from '../house/houseToday';
import { alert, block, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';
import type { PaperAsked } from './asked';

/** Today's walk for a helper without a phone: shelf by shelf what is still to be done, with a box to tick, and who is left alone. */
export function roundSheet(
  { on, stops }: Round,
  house: HouseToday,
  { shelves, names, length, temperature, paper }: PaperAsked,
): PaperSheet {
  const homes = new Map(house.homes.map((home) => [home.id, home]));
  const residents = new Map(house.residents.map((resident) => [resident.id, resident]));
  const here = new Set(shelves.map(({ id }) => id));
  const walked = stops.filter(({ shelfId }) => here.has(shelfId));
  let jobs = 0;
  const stopPart = ({ residentId, homeId, jobs: all }: Round['stops'][number]): PaperPart[] => {
    const [home, resident] = [homes.get(homeId), residents.get(residentId)];
    const open = all.filter(({ doneBy, skipped }) => doneBy === undefined && !skipped);
    if (!home || !resident || open.length === 0) return [];
    jobs += open.length;
    const hazards = dangersOfResident(resident).hazards.map(({ title }) => title);
    const rules = (house.homeStates.get(homeId)?.grounds ?? []).flatMap((ground) =>
      ground.about === 'fit' ? [ground] : [],
    );
    return [
      block(
        whoLine(home.code, resident.scientificName, resident.called),
        ...(hazards.length > 0 ? [alert(`Caution: ${hazards.join(', ')}`)] : []),
        ...open.map((job): PaperPart => {
          const can = job.lighterIn === undefined ? '' : `; can wait until ${dayWords(job.until, on)}`;
          const reason = jobReason(job, on, rules, temperature);
          return {
            ...{ as: 'task', text: jobTitle(job, length, names, temperature), isAlert: job.cannotWait },
            note: `${job.cannotWait ? 'cannot wait: ' : ''}${reason}${can}`,
          };
        }),
      ),
    ];
  };
  const parts = shelves.flatMap((shelf) => {
    const onShelf = walked.filter(({ shelfId }) => shelfId === shelf.id);
    const body = onShelf.flatMap(stopPart);
    const cut = cutAtOnce(onShelf, names);
    return body.length === 0
      ? []
      : [heading(`${shelf.room}, ${shelf.name}`), ...(cut === null ? [] : [line(cut, { isSmall: true })]), ...body];
  });
  const alone = walked.flatMap(({ residentId, homeId, leaveAlone, waiting = [] }): PaperPart[] => {
    const [home, resident] = [homes.get(homeId), residents.get(residentId)];
    if (!home || !resident || !leaveAlone) return [];
    const why = `: ${leaveAloneWords(leaveAlone, on)}${waitingWords(waiting)}`;
    return [whoLine(home.code, resident.scientificName, resident.called, why)];
  });
  return {
    ...{ title: `${weekday(on)}’s round`, paper },
    subtitle: `${fullDayWords(on)}, ${jobs === 0 ? 'nothing to do' : countWords(jobs, 'job')}`,
    parts: [...parts, ...(alone.length > 0 ? [heading('Leave alone'), ...alone] : [])],
  };
}
