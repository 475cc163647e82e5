import type { RequestHandler } from 'express';
import type { z } from 'zod';
import { fileRoutes } from '@/contract/fileRoutes';
import {
  shippedEggs,
  shippedFeeders,
  shippedHazards,
  shippedMoths,
  shippedPopulations,
  shippedRests,
  shippedSpecies,
} from '@/contract/shipped';
import { careCard } from '@/core/handbook/card';
import { cardAbout } from '@/core/handbook/cardAbout';
import { dangersOf } from '@/core/profiles/hazards';
import { lengthWords } from '@/words/lengths';
import { calledWords } from '@/words/residents';
import { temperatureWords } from '@/words/temperature';
import { houseToday } from '../house/houseToday';
import { wholeHistory } from '../house/wholeHistory';
import { invalid, invalidBy, notFound } from '../http/problem';
import type { Deps } from '../resources/deps';
import { dangersOfResident } from '../dangers';
import { growthHandlers } from '../resources/growth';
import { moveHandlers } from '../resources/moves';
import { roundOf } from '../resources/round';
import { forebearsOf } from '../storage/forebears';
import { listOwnCards, readEmergency } from '../storage/handbook';
import { listGone } from '../storage/residents';
import { listShelves } from '../storage/shelves';
import { inThread } from '../threads/pool';
import type { PaperAsked } from './asked';
import { cardSheet } from './card';
import { emergencySheet } from './emergency';
import { handlingSheetPaper } from './handling';
import { newKeeperSheet } from './newKeeper';
import { recordSheet } from './record';
import { roundSheet } from './round';
import { shelfSheet } from './shelves';
import type { PaperSheet } from './parts';

const SHEETS = ['round', 'shelves', 'emergency', 'card', 'handling', 'record', 'new-keeper'] as const;

const { query: asked } = fileRoutes.paper;
type Asked = z.infer<typeof asked>;

/** What care cards are made of, beside the profiles. */
const SOURCES = { rests: shippedRests, eggs: shippedEggs, moths: shippedMoths, populations: shippedPopulations };

/** Entries of one record that go on paper, the newest of them. Chosen here: some 60 pages */
const MOST_ENTRIES = 2000;

/** Sheets on paper, in the units of whoever prints them: a helper without a phone works from them. */
export function paperRoute(deps: Deps): RequestHandler {
  return async (request, response) => {
    const name = SHEETS.find((each) => `${each}.pdf` === request.params.file);
    if (!name) throw notFound(`sheet of that name: there are ${SHEETS.map((each) => `${each}.pdf`).join(', ')}`);
    const parsed = asked.safeParse(request.query);
    if (!parsed.success) throw invalidBy(parsed.error);
    const sheet = await sheetOf(name, parsed.data, deps);
    const pdf = await inThread('paperPdf', sheet);
    response.set('Content-Disposition', `inline; filename="${name}-${deps.clock.today()}.pdf"`);
    response.type('application/pdf').send(Buffer.from(pdf));
  };
}

async function sheetOf(name: (typeof SHEETS)[number], question: Asked, deps: Deps): Promise<PaperSheet> {
  const { database, clock } = deps;
  const on = clock.today();
  const house = await houseToday(database, on, clock.now());
  const shelves = await listShelves(database);
  const how: PaperAsked = {
    length: lengthWords(question.length),
    temperature: temperatureWords(question.temperature),
    paper: question.paper,
    shelves: shelves.filter(({ id }) => question.shelves?.includes(id) ?? true),
    names: { feeders: [...shippedFeeders], foods: house.shelf.foods },
  };
  switch (name) {
    case 'round':
      return roundSheet(await roundOf(house), house, how);
    case 'shelves':
      return shelfSheet(house, how);
    case 'emergency':
      return emergencySheet(await readEmergency(database), house, how);
    case 'card': {
      if (question.name === undefined)
        throw invalid('name', 'Give the name of a species, or the id of a care profile.');
      const about = cardAbout(question.name, await listOwnCards(database), shippedSpecies);
      if (!house.care.has(about.profileId)) throw notFound('card of that name');
      const scientificName = about.isKind ? undefined : about.name;
      const profile = house.care.of({ profile: about.profileId, scientificName });
      const dangers = dangersOf(shippedHazards, house.care.kindOf(about.profileId), about.known);
      return cardSheet(about, { profile, dangers, lines: careCard(profile, SOURCES, scientificName) }, how);
    }
    case 'handling': {
      const resident = house.residents.find(({ id }) => id === question.resident);
      const home = house.homes.find(({ id }) => id === resident?.homeId);
      if (!resident || !home) throw invalid('resident', 'There is nobody here with that id. See /api/residents.');
      const query = question.to === undefined ? {} : { to: question.to };
      const ask = { params: { id: resident.id }, query, body: undefined, token: undefined };
      const handling = await moveHandlers(deps).handling(ask);
      const to = house.homes.find(({ id }) => id === handling.move?.toHomeId);
      return handlingSheetPaper(handling, { resident, home, to, on }, how);
    }
    case 'new-keeper':
    case 'record': {
      const everybody = [...house.residents, ...(await listGone(database))];
      const resident = everybody.find(({ id }) => id === question.resident);
      if (!resident) throw invalid('resident', 'There is nobody in the records with that id. See /api/residents.');
      const home = house.homes.find(({ id }) => id === resident.homeId);
      const entries = await wholeHistory(database, resident.id, MOST_ENTRIES);
      const isCut = entries.length === MOST_ENTRIES;
      const forebears = await forebearsOf(database, resident.id);
      const kin = new Map([...forebears, ...everybody].map((each) => [each.id, calledWords(each)]));
      if (name === 'new-keeper') {
        const isHere = house.residents.includes(resident as (typeof house.residents)[number]);
        const ask = { params: { id: resident.id }, query: undefined, body: undefined, token: undefined };
        const profile = house.care.of(resident);
        const moult = isHere ? await growthHandlers(deps).residentMoult(ask) : undefined;
        return newKeeperSheet(
          { resident, home, entries, kin },
          {
            dangers: dangersOfResident(resident),
            profile,
            lines: careCard(profile, SOURCES, resident.scientificName),
            next: moult?.forecast.next ?? null,
          },
          on,
          how,
        );
      }
      return recordSheet({ resident, home, entries, isCut, kin }, on, how);
    }
  }
}
