import { z } from 'zod';
import { quantity } from './primitives';

const cost = quantity('units of cost', 0, 1_000_000);
const costs = z.union([cost, z.array(cost)], { error: 'Must be one cost, or a list with one for each week.' });

export const feederOrdersRequest = z
  .strictObject({
    demand: z
      .array(quantity('feeders', 0, 1_000_000), { error: 'Must be a list: how many are needed in each week.' })
      .min(1, { error: 'Give at least one week.' })
      .max(520, { error: 'At most 520 weeks.' }),
    setupCost: costs,
    holdingCost: costs,
    shelfLifeWeeks: quantity('weeks', 1, 520, true).optional(),
    weeklyLossPct: quantity('percent', 0, 99).optional(),
  })
  .meta({ id: 'FeederOrdersRequest' });

export const feederOrdersReply = z
  .object({ orders: z.array(z.number()), totalCost: z.number() })
  .meta({ id: 'FeederOrdersReply' });
