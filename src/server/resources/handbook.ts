import { shippedEggs, shippedMoths, shippedPopulations, shippedRests, shippedSpecies } from '@/contract/shipped';
import type { OwnCard } from '@/contract/handbook';
import { namedOf, synonymsOf } from '@/core/handbook/nameLists';
import { nameIndex } from '@/core/handbook/search';
import { kindOfName } from '@/core/profiles/kindOfName';
import { nowNamed } from '@/core/handbook/synonyms';
import { withoutAuthor } from '@/core/measure/nameParts';
import { checkScientificName } from '@/core/measure/scientificName';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import type { Queries } from '../storage/database';
import { deleteOwnCard, listOwnCards, readEmergency, writeEmergency, writeOwnCard } from '../storage/handbook';
import type { Deps } from './deps';

type Names = 'handbook' | 'writeOwnCard' | 'removeOwnCard' | 'names' | 'emergency' | 'setEmergency';

export function handbookHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    handbook: async () => ({
      sources: {
        ...{ rests: [...shippedRests], eggs: [...shippedEggs], moths: [...shippedMoths] },
        populations: [...shippedPopulations],
      },
      ownCards: await listOwnCards(database),
    }),

    writeOwnCard: ({ params, body }) =>
      database.transaction(async (queries) => {
        const name = withoutAuthor(body.name);
        if (withoutAuthor(params.name) !== name)
          throw invalid('name', `Must be the name in the address, ${params.name}; got ${body.name}.`);
        if (!(await careOf(queries)).has(body.profile))
          throw invalid('profile', `There is no care profile ${body.profile}. See /api/profiles.`);
        await requireStraight(queries, { ...body, name });
        await writeOwnCard(queries, { ...body, name }, clock.now());
        return { card: { ...body, name } };
      }),

    removeOwnCard: async ({ params }) => {
      const name = withoutAuthor(params.name);
      if (!(await deleteOwnCard(database, name))) throw notFound('card of that name');
      return { removed: name };
    },

    names: async ({ body }) => {
      const { typed, most, among, synonyms } = body;
      const known = [...(await listOwnCards(database)), ...shippedSpecies];
      const check = checkScientificName(typed);
      const { name, via } = nowNamed(typed, synonyms ?? synonymsOf(known));
      return {
        isWellFormed: check.ok,
        problem: check.ok ? null : check.problem,
        suggestion: check.ok ? null : (check.suggestion ?? null),
        ...{ nowNamed: name, via, kind: kindOfName(known, typed) },
        found: nameIndex(among ?? namedOf(known)).search(typed, most),
      };
    },

    emergency: () => readEmergency(database),

    setEmergency: async ({ body }) => {
      await writeEmergency(database, body);
      return body;
    },
  };
}

/** @throws Problem when a name would lead two ways: it is in use, or leads elsewhere; so no circle can come about */
async function requireStraight(queries: Queries, card: OwnCard): Promise<void> {
  const own = (await listOwnCards(queries)).filter(({ name }) => name !== card.name);
  const others = [...own, ...shippedSpecies];
  const inUse = new Set(others.map((each) => each.name));
  const leadsTo = new Map(synonymsOf(others).map((each) => [withoutAuthor(each.name), each.nowNamed]));
  const now = leadsTo.get(card.name);
  if (now !== undefined) throw invalid('name', `${card.name} is called ${now} now: write the card under that name.`);
  for (const [place, each] of card.synonyms.entries()) {
    const path = `synonyms.${place}`;
    const name = withoutAuthor(each);
    if (name === card.name) throw invalid(path, 'Must be another name than the card’s own.');
    if (inUse.has(name)) throw invalid(path, `${each} has a card of its own: it cannot lead to another name.`);
    const elsewhere = leadsTo.get(name);
    if (elsewhere !== undefined && elsewhere !== card.name)
      throw invalid(path, `${each} leads to ${elsewhere} already: it can lead to one name only.`);
  }
}
