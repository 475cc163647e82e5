import type { RequestHandler } from 'express';
import type { Keeper } from '@/contract/keepers';
import { id } from '@/contract/primitives';
import { eventsOf } from '../calendar/events';
import { calendarFile } from '../calendar/write';
import { notFound } from '../http/problem';
import { digestOf, isSecret } from '../secrets';
import { keeperOfCalendar, listKeepers } from '../storage/keepers';
import type { Deps } from './deps';

/** A keeper's calendar as a file: at its secret address for a phone that subscribes, or by the keeper's id to download. */
export function calendarRoutes({ database, clock }: Deps): { bySecret: RequestHandler; byKeeper: RequestHandler } {
  const send = async (keeperId: string | undefined, response: Parameters<RequestHandler>[1]) => {
    const keeper = (await listKeepers(database, clock.today())).find((each: Keeper) => each.id === keeperId);
    if (!keeper) throw notFound('calendar at that address: it was renewed, or shut');
    const file = calendarFile(
      `${keeper.name}: rounds`,
      await eventsOf(database, keeper, clock.today(), clock.now()),
      clock.now(),
    );
    response.set('Cache-Control', 'private, no-cache');
    response.set('Content-Disposition', 'attachment; filename="rounds.ics"');
    response.type('text/calendar; charset=utf-8').send(file);
  };
  return {
    bySecret: async (request, response) => {
      const secret = String(request.params.file).replace(/\.ics$/, '');
      await send(isSecret(secret) ? await keeperOfCalendar(database, digestOf(secret)) : undefined, response);
    },
    byKeeper: async (request, response) => {
      const asked = id.safeParse(request.params.id);
      await send(asked.success ? asked.data : undefined, response);
    },
  };
}
