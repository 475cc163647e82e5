import { z } from 'zod';
import { VERDICTS } from '@/core/scores/summary';
import { day, quantity } from './primitives';

/** What is forecast with a window and can be found right or wrong. */
export const SCORED = ['moult', 'drying', 'hatch', 'need'] as const;
export type Scored = (typeof SCORED)[number];

const value = z.number({ error: 'Must be a number.' }).min(-1e6).max(1e6);
const settledWindow = z.strictObject({
  /** One of ten is under p10, half are under p50, one of ten is over p90. */
  p10: value,
  p50: value,
  p90: value,
  /** The curve between them is normal in the logarithm. */
  isLog: z.boolean().optional(),
  /** What came; left out where the window has passed and nothing has come yet. */
  happened: value.optional(),
  naive: value.optional(),
  /** The window was made so many times as wide as before. */
  spreadTimes: quantity('times', 0.1, 10).optional(),
});

export const scoreRequest = z
  .strictObject({
    windows: z.array(settledWindow, { error: 'Must be a list of windows: [{p10, p50, p90, happened?}].' }).max(5000),
    chances: z
      .array(
        z.strictObject({
          chance: quantity('chance', 0, 1),
          happened: z.boolean({ error: 'Must be true where it happened, false where it did not.' }),
          naive: quantity('chance', 0, 1).optional(),
        }),
      )
      .max(20_000)
      .default([]),
  })
  .meta({ id: 'ScoreRequest' });

const reliability = z.array(z.object({ saidPct: z.number(), camePct: z.number() }));
const windowScore = z.object({
  windows: z.int(),
  held: z.int(),
  heldPct: z.number().nullable(),
  /** Where the true share lies in nine of ten houses like this. */
  between: z.object({ low: z.number(), high: z.number() }).nullable(),
  verdict: z.enum(VERDICTS),
  reliability,
  /** Mean error (CRPS, in days or pieces) beside that of a naive forecast, of those windows that had one. */
  against: z.object({ windows: z.int(), error: z.number(), naiveError: z.number() }).nullable(),
  spreadTimes: z.number(),
});
const chanceScore = z.object({
  count: z.int(),
  happened: z.int(),
  against: z.object({ count: z.int(), brier: z.number(), naiveBrier: z.number() }).nullable(),
  reliability: z.array(z.object({ count: z.int(), saidPct: z.number(), camePct: z.number() })),
});

export const scoreReply = z.object({ windows: windowScore, chances: chanceScore }).meta({ id: 'ScoreReply' });

/** How often the forecasts of this house came true. */
export const scoreBoard = z
  .object({
    asOf: day,
    engines: z.array(
      windowScore.extend({
        engine: z.enum(SCORED),
        /** Shown, and not yet decided. */
        open: z.int(),
        /** Of those that are decided so many were worked out afterwards, from what was known on their day. */
        replayed: z.int(),
        /** Windows are made so many times as wide now as the engine alone would. */
        inForce: z.number(),
        byKind: z.array(z.object({ kind: z.string(), windows: z.int(), held: z.int() })),
      }),
    ),
    /** Offers that were answered, by the chance that they would be refused. */
    refusals: chanceScore,
  })
  .meta({ id: 'ScoreBoard' });
export type ScoreBoard = z.infer<typeof scoreBoard>;
