import type { Handlers } from '../http/mount';
import { inThread, inTime } from '../threads/pool';

/** What the numbers of the program rest on. */
export const groundHandlers = (): Pick<Handlers, 'ground' | 'sensitivity'> => ({
  ground: ({ query: { most, find } }) => inThread('groundOf', most, find),
  sensitivity: ({ body }) => inTime('sensitivityOf', body.number),
});
