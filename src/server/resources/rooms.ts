import type { Handlers } from '../http/mount';
import { notFound } from '../http/problem';
import { roomsOf } from '../house/air';
import { findRoom, updateRoomAir } from '../storage/rooms';
import { dayOf, type Deps } from './deps';

export function roomHandlers({ database, clock }: Deps): Pick<Handlers, 'rooms' | 'changeRoom'> {
  return {
    rooms: async () => ({ rooms: await roomsOf(database, clock.now()) }),

    changeRoom: ({ params, body }) =>
      database.transaction(async (queries) => {
        if (!(await findRoom(queries, params.id))) throw notFound('room with that id');
        await updateRoomAir(queries, params.id, body.air, dayOf(clock, body.since, 'since'));
        const room = (await roomsOf(queries, clock.now())).find((each) => each.id === params.id);
        if (!room) throw notFound('room with that id');
        return { room };
      }),
  };
}
