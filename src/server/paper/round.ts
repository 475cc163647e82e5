import type { Round, Stop } from '@/contract/round';
import { groupBy } from '@/core/groupBy';
import { cutAtOnce } from '@/words/kitchen';
import { countWords } from '@/words/count';
import { dayWords, fullDayWords, weekday } from '@/words/days';
import { waitingWords } from '@/words/doing';
import { jobReason, jobTitle, leaveAloneWords } from '@/words/jobs';
import type { HouseToday } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import { alert, block, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';
import type { PaperAsked } from './asked';
import { cautionLine } from './caution';

/** Today's walk for a helper without a phone: shelf by shelf what is still to be done, with a box to tick, and who is left alone. */
export async function roundSheet(
  { on, stops, unworkable }: Round,
  house: HouseToday,
  { shelves, names, length, temperature, paper }: PaperAsked,
): Promise<PaperSheet> {
  const homes = new Map(house.homes.map((home) => [home.id, home]));
  const residents = new Map(house.residents.map((resident) => [resident.id, resident]));
  const here = new Set(shelves.map(({ id }) => id));
  const walked = stops.filter(({ shelfId }) => here.has(shelfId));
  const openOf = ({ jobs }: Stop) => jobs.filter(({ doneBy, skipped }) => doneBy === undefined && !skipped);
  const jobs = walked.reduce((sum, stop) => sum + openOf(stop).length, 0);
  const stopPart = (stop: Stop): PaperPart[] => {
    const { residentId, homeId } = stop;
    const [home, resident] = [homes.get(homeId), residents.get(residentId)];
    const open = openOf(stop);
    if (!home || !resident || open.length === 0) return [];
    const rules = (house.homeStates.get(homeId)?.grounds ?? []).flatMap((ground) =>
      ground.about === 'fit' ? [ground] : [],
    );
    return [
      block(
        whoLine(home.code, resident.scientificName, resident.called),
        ...cautionLine(resident),
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
  const onShelves = groupBy(walked, ({ shelfId }) => shelfId);
  const partsOf = new Map(await inTurn(walked, (stop) => [stop, stopPart(stop)] as const));
  const parts = shelves.flatMap((shelf) => {
    const onShelf = onShelves.get(shelf.id) ?? [];
    const body = onShelf.flatMap((stop) => partsOf.get(stop) ?? []);
    const cut = cutAtOnce(onShelf, names);
    return body.length === 0
      ? []
      : [heading(`${shelf.room}, ${shelf.name}`), ...(cut === null ? [] : [line(cut, { isSmall: true })]), ...body];
  });
  const lost = unworkable.flatMap(({ homeId, why }) => {
    const home = homes.get(homeId);
    return home && here.has(home.shelfId) ? [alert(`${home.code} cannot be worked out: ${why}`)] : [];
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
    parts: [...lost, ...parts, ...(alone.length > 0 ? [heading('Leave alone'), ...alone] : [])],
  };
}
