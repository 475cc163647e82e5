import type { Label } from '@/contract/labels';
import type { LabelWords } from '@/core/labels/drawLabel';
import { freeLabelWords, labelTitle, labelWords } from '@/words/labels';
import { dangersOfResident } from '../dangers';
import { groupBy } from '@/core/groupBy';
import type { HouseToday } from '../house/houseToday';
import { inTurn } from '../house/inTurn';
import type { LastPrinted } from '../storage/labels';

/** The label of a resident, or of a free home. */
export interface HouseLabel {
  about: string;
  homeId: string;
  words: LabelWords;
}

/** The labels of a house, box by box along the shelves. Cleaners stand on the label of whom they clean after. */
export async function labelsOf({ homes, residents }: Pick<HouseToday, 'homes' | 'residents'>): Promise<HouseLabel[]> {
  const tenants = groupBy(residents, ({ homeId }) => homeId);
  const byHome = await inTurn(homes, (home): HouseLabel[] => {
    const here = tenants.get(home.id) ?? [];
    if (here.length === 0) return [{ about: home.id, homeId: home.id, words: freeLabelWords(home) }];
    const guests = here.filter(({ isGuest }) => isGuest);
    const named = guests.length === here.length ? here : here.filter(({ isGuest }) => !isGuest);
    return named.map((resident) => {
      const hazards = dangersOfResident(resident).hazards.map(({ title }) => title);
      const others = named.length === here.length ? [] : guests;
      return { about: resident.id, homeId: home.id, words: labelWords({ home, resident, hazards, others }) };
    });
  });
  return byHome.flat();
}

/** What a label says, to be held against what one said before. */
export const saidBy = (words: LabelWords): string => JSON.stringify(words);

/** A label against the last time it was printed. */
export function labelRow({ about, homeId, words }: HouseLabel, last: LastPrinted | undefined): Label {
  return {
    ...{ about, homeId, title: labelTitle(words), printedAt: last?.printedAt ?? null },
    standing: last === undefined ? 'never' : last.says === saidBy(words) ? 'same' : 'changed',
  };
}
