import type { Home, Resident } from '@/contract/records';
import { groupBy } from '@/core/groupBy';
import { fullDayWords } from '@/words/days';
import { countWords } from '@/words/count';
import { groundWords } from '@/words/homeState';
import { containerWords, lifeWords } from '@/words/residents';
import type { HouseToday } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import type { PaperAsked } from './asked';
import { cautionLine } from './caution';
import { block, heading, line, whoLine, type PaperPart, type PaperSheet } from './parts';

/** Box by box along the shelves: who lives where, since when, how large, and what they can do to a hand. */
export async function shelfSheet(house: HouseToday, asked: PaperAsked): Promise<PaperSheet> {
  const { shelves, paper } = asked;
  const tenants = groupBy(house.residents, ({ homeId }) => homeId);
  const onShelves = groupBy(house.homes, ({ shelfId }) => shelfId);
  const passed = shelves.flatMap((shelf) =>
    (onShelves.get(shelf.id) ?? []).map((home, index) => ({ shelf, home, index })),
  );
  const parts = await inTurn(passed, ({ shelf, home, index }): PaperPart[] => [
    ...(index === 0 ? [heading(`${shelf.room}, ${shelf.name}`)] : []),
    boxPart(home, tenants.get(home.id) ?? [], house, asked),
  ]);
  return {
    ...{ title: 'Shelf list', paper, parts: parts.flat() },
    subtitle: `${fullDayWords(house.on)}, ${countWords(passed.length, 'box', 'boxes')}`,
  };
}

function boxPart(
  home: Home,
  tenants: readonly Resident[],
  { on, homeStates }: HouseToday,
  { length, temperature }: PaperAsked,
): PaperPart {
  const against = (homeStates.get(home.id)?.grounds ?? []).map((ground) => groundWords(ground, on, temperature));
  return block(
    ...(tenants.length === 0 ? [whoLine(home.code, '', null, 'free')] : []),
    ...tenants.flatMap((resident) => [
      whoLine(home.code, resident.scientificName, resident.called),
      line(`${lifeWords(resident, length)}; since ${fullDayWords(resident.takenInOn)}`, { isSmall: true }),
      ...cautionLine(resident),
    ]),
    line(`${containerWords(home, length)}, soil ${length.long(home.substrateDepthMm)}`, { isSmall: true }),
    ...(against.length > 0 ? [line(`To be seen to: ${against.join('; ')}`, { isSmall: true })] : []),
  );
}
