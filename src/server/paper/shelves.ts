import { fullDayWords } from '@/words/days';
import { countWords } from '@/words/count';
import { groundWords } from '@/words/homeState';
import { containerWords, lifeWords } from '@/words/residents';
import { dangersOfResident } from '../dangers';
import type { HouseToday } from '../house/houseToday';
import type { PaperAsked } from './asked';
import { alert, block, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';

/** Box by box along the shelves: who lives where, since when, how large, and what they can do to a hand. */
export function shelfSheet(house: HouseToday, { shelves, length, temperature, paper }: PaperAsked): PaperSheet {
  let boxes = 0;
  const parts = shelves.flatMap((shelf): PaperPart[] => {
    const homes = house.homes.filter(({ shelfId }) => shelfId === shelf.id);
    if (homes.length === 0) return [];
    boxes += homes.length;
    return [
      heading(`${shelf.room}, ${shelf.name}`),
      ...homes.map((home) => {
        const here = house.residents.filter(({ homeId }) => homeId === home.id);
        const state = house.homeStates.get(home.id);
        const against = (state?.grounds ?? []).map((ground) => groundWords(ground, house.on, temperature));
        return block(
          ...(here.length === 0 ? [whoLine(home.code, '', null, 'free')] : []),
          ...here.flatMap((resident) => {
            const hazards = dangersOfResident(resident).hazards.map(({ title }) => title);
            return [
              whoLine(home.code, resident.scientificName, resident.called),
              line(`${lifeWords(resident, length)}; since ${fullDayWords(resident.takenInOn)}`, { isSmall: true }),
              ...(hazards.length > 0 ? [alert(`Caution: ${hazards.join(', ')}`)] : []),
            ];
          }),
          line(`${containerWords(home, length)}, soil ${length.long(home.substrateDepthMm)}`, { isSmall: true }),
          ...(against.length > 0 ? [line(`To be seen to: ${against.join('; ')}`, { isSmall: true })] : []),
        );
      }),
    ];
  });
  return {
    ...{ title: 'Shelf list', paper, parts },
    subtitle: `${fullDayWords(house.on)}, ${countWords(boxes, 'box', 'boxes')}`,
  };
}
