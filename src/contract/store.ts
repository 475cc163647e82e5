import { z } from 'zod';
import { SCHOOL_TOPICS } from '@/core/profiles/schools';
import { feederKind, food, itemId } from './feeding';
import { day, id, instant, line, oneOf, quantity } from './primitives';

// ---- what is there ----

export const STOCK_KINDS = ['bought', 'harvested', 'counted', 'died', 'thrown'] as const;

const amount = quantity('pieces, grams, millilitres or litres', 0, 10_000_000);

export const newStockEntry = z
  .strictObject({
    id: id.optional(),
    item: itemId,
    kind: oneOf(STOCK_KINDS),
    amount,
    on: day.optional(),
    keeper: line('the name of the keeper', 60).optional(),
    note: line('a note', 500).optional(),
  })
  .refine((entry) => entry.kind === 'counted' || entry.amount !== 0, {
    path: ['amount'],
    error: 'Must be more than 0; only a count can be 0.',
  });
export type NewStockEntry = z.infer<typeof newStockEntry>;

export const stockEntry = z
  .object({
    id,
    item: z.string(),
    kind: z.enum(STOCK_KINDS),
    amount: z.number(),
    on: day,
    at: instant,
    keeper: z.string().nullable(),
    note: z.string().nullable(),
    undoneAt: instant.nullable(),
  })
  .meta({ id: 'StockEntry' });
export type StockEntry = z.infer<typeof stockEntry>;

export const culture = z
  .object({
    id,
    called: z.string(),
    kind: z.string(),
    breeders: z.int(),
    harvested: z.string(),
    begunOn: day,
    /** What it yields in a week for ever, once it stands. */
    yieldPerWeek: z.number(),
  })
  .meta({ id: 'FeederCulture' });
export type Culture = z.infer<typeof culture>;

const cultureFields = {
  called: line('what the culture is called', 60),
  breeders: quantity('breeders', 0, 1_000_000, true),
  harvested: itemId,
};
export const newCulture = z.strictObject({
  id: id.optional(),
  kind: itemId,
  begunOn: day.optional(),
  ...cultureFields,
});
export const cultureChange = z
  .strictObject(cultureFields)
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

/** One item of the store. `unit` says what its amounts are in. */
export const stockLine = z.object({
  item: z.string(),
  unit: z.enum(['pieces', 'g', 'ml', 'L']),
  onHand: z.number(),
  /** Past its shelf life. */
  stale: z.number(),
  useBy: day.nullable(),
  countedOn: day.nullable(),
});
export type StockLine = z.infer<typeof stockLine>;

export const larderReply = z.object({ feeders: z.array(feederKind), foods: z.array(food) }).meta({ id: 'Larder' });
export const storeReply = z
  .object({ on: day, lines: z.array(stockLine), cultures: z.array(culture) })
  .meta({ id: 'Store' });

// ---- what is needed ----

export const supplyOrder = z.object({
  neededOn: day,
  orderBy: day,
  isLate: z.boolean(),
  packs: z.int(),
  amount: z.number(),
  cost: z.number(),
});

export const supplyPlan = z
  .object({
    from: day,
    weeks: z.int(),
    supplier: z.string(),
    lines: z.array(
      z.object({
        item: z.string(),
        unit: z.enum(['pieces', 'g', 'ml', 'L']),
        demand: z.array(z.number()),
        short: z.array(z.number()),
        orders: z.array(supplyOrder),
        isSold: z.boolean(),
        /** So little of a vegetable that it comes off what a kitchen has. */
        isFromKitchen: z.boolean().optional(),
        totalCost: z.number(),
        /** Of feeders nobody sells in time: the breeders of an own culture that would sustain the demand. */
        breeders: z.number().nullable(),
      }),
    ),
    totalCost: z.number(),
  })
  .meta({ id: 'SupplyPlan' });
export type SupplyPlan = z.infer<typeof supplyPlan>;

export const priceLine = z.object({
  item: z.string(),
  packSize: z.number(),
  packPrice: z.number(),
  leadDays: z.int(),
  handling: z.number(),
});

export const supplierReply = z
  .object({ name: z.string(), isOwn: z.boolean(), lines: z.array(priceLine), csv: z.string() })
  .meta({ id: 'Supplier' });

export const supplierChange = z.strictObject({
  csv: z
    .string({ error: 'Must be the text of a price list (CSV).' })
    .min(1, { error: 'The price list is empty.' })
    .max(200_000, { error: 'The price list is too long: at most 200,000 letters.' }),
});

// ---- schools ----

export const SCHOOL_SCOPES = ['room', 'kind', 'resident'] as const;
export const schoolChoice = z
  .strictObject({
    scope: oneOf(SCHOOL_SCOPES),
    /** Id of the room, the profile or the resident. */
    about: line('the id of a room, a profile or a resident', 60),
    topic: oneOf(SCHOOL_TOPICS),
    school: line('a school', 60),
  })
  .meta({ id: 'SchoolChoice' });
export type SchoolChoice = z.infer<typeof schoolChoice>;

/** Null goes back to what holds without a choice here. */
export const newSchoolChoice = z.strictObject({
  ...schoolChoice.shape,
  school: line('a school', 60).nullable(),
});
