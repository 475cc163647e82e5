import type { OwnCard } from '@/contract/handbook';
import type { Species } from '@/contract/species';
import type { careCard } from '@/core/handbook/card';
import { CARD_PARTS, type CardLine } from '@/core/handbook/card';
import type { CardAbout } from '@/core/handbook/cardAbout';
import type { Dangers } from '@/core/profiles/hazards';
import type { CareProfile } from '@/core/profiles/profile';
import { cardGround, cardLabel, cardValue, PART_WORDS } from '@/words/card';
import { plantWords } from '@/words/plants';
import { capital } from '@/words/text';
import type { PaperAsked } from './asked';
import { alert, block, fact, heading, line, nameSpans, type PaperPart, type PaperSheet } from './parts';

/** The care card of a species or a kind: danger first, then in the order of the work. */
export function cardSheet(
  { name, isKind, isOfGenus, own, known }: CardAbout<OwnCard, Species>,
  { profile, dangers, lines }: { profile: CareProfile; dangers: Dangers; lines: ReturnType<typeof careCard> },
  { names, temperature, paper }: PaperAsked,
): PaperSheet {
  const notes = { ...known?.notes, ...own?.notes };
  const plants = profile.diet && 'plants' in profile.diet ? profile.diet.plants : [];
  const eaten = plants.flatMap((id) => names.foods.find((food) => food.id === id) ?? []);
  const lineOf = (each: CardLine): PaperPart[] =>
    fact(
      cardLabel(each),
      cardValue(each, temperature.long),
      [cardGround(each), each.source].filter(Boolean).join('; '),
    );
  const common = own?.commonName ?? known?.commonName;
  return {
    ...{ title: isKind ? profile.name : name, paper },
    subtitle: 'care card',
    parts: [
      ...(isKind ? [] : [{ as: 'line' as const, spans: nameSpans(name) }]),
      line(
        [common, isKind ? profile.group : `kept as ${profile.name.toLowerCase()}`]
          .filter((word) => word !== undefined && word !== null)
          .join(', '),
        { isSmall: true },
      ),
      ...(isOfGenus ? [line(`Nobody has written of this species: the numbers are those of its genus.`)] : []),
      ...(known
        ? [line(`${known.range}. Lives ${known.lifeYears.min} to ${known.lifeYears.max} years.`, { isSmall: true })]
        : []),
      ...dangers.hazards.map(({ text }) => alert(text)),
      ...(dangers.law ? [line(dangers.law.text)] : []),
      ...CARD_PARTS.flatMap((part): PaperPart[] => {
        const here = lines.filter((each) => each.part === part);
        const said = notes[part];
        if (here.length === 0 && said === undefined) return [];
        return [
          heading(PART_WORDS[part]),
          ...(said === undefined ? [] : [line(said)]),
          ...(part === 'food' ? eaten.map((plant) => line(`${capital(plant.name)}: ${plantWords(plant)}`)) : []),
          ...here.map((each) => block(...lineOf(each))),
        ];
      }),
    ],
  };
}
