import { orderPlan } from '@/core/feeding/orders';
import type { Handlers } from '../http/mount';

/** Engine 6 over HTTP. */
export function feedingHandlers(): Pick<Handlers, 'feederOrders'> {
  return {
    feederOrders: ({ body }) => orderPlan(body),
  };
}
