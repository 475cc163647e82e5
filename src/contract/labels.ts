import { z } from 'zod';
import { LABEL_FONTS, SMALLEST_LABEL_MM, type DrawnLabel } from '@/core/labels/drawLabel';
import type { LabelStock } from '@/core/labels/stock';
import { BASES } from '@/core/profiles/profile';
import { id, instant, line, mm, quantity } from './primitives';

const widthMm = mm(SMALLEST_LABEL_MM.widthMm, 320);
const heightMm = mm(SMALLEST_LABEL_MM.heightMm, 320);
const paper = z.strictObject({ widthMm: mm(50, 330), heightMm: mm(50, 490) });
const sheet = z.strictObject({
  form: z.literal('sheet'),
  paper,
  columns: quantity('labels across', 1, 20, true),
  rows: quantity('labels down', 1, 40, true),
  ...{ widthMm, heightMm, leftMm: mm(0, 200), topMm: mm(0, 200), acrossMm: mm(5, 330), downMm: mm(5, 490) },
});
const tape = z.strictObject({ form: z.literal('tape'), widthMm, heightMm });
export const labelStock = z.discriminatedUnion('form', [sheet, tape], {
  error: 'Must be a sheet or a tape: "form" is "sheet" or "tape".',
}) satisfies z.ZodType<LabelStock>;

const named = { id: z.string(), title: z.string() };
/** Sheets and tapes that are usual to buy, as they stand in `data/labelStocks.json`. */
export const stockBook = z.strictObject({
  basis: z.enum(BASES),
  stocks: z.array(z.discriminatedUnion('form', [sheet.extend(named), tape.extend(named)])).min(1),
});
export type StockBook = z.infer<typeof stockBook>;

const startAt = quantity('labels', 1, 800, true).default(1);

export const labelPlacesRequest = z.strictObject({
  stock: labelStock,
  count: quantity('labels', 1, 20_000, true),
  startAt,
});
export const labelPlacesReply = z.object({
  pages: z.int(),
  places: z.array(z.object({ page: z.int(), xMm: z.number(), yMm: z.number() })),
});

/** The label of a resident, or of a home in which nobody lives. */
export const label = z
  .object({
    about: id,
    homeId: id,
    /** Whose label it is, in a line: the box, and who lives there. */
    title: z.string(),
    /** Against the last time it was printed. */
    standing: z.enum(['never', 'changed', 'same']),
    printedAt: instant.nullable(),
  })
  .meta({ id: 'Label' });
export type Label = z.infer<typeof label>;

export const labelBoard = z
  .object({
    labels: z.array(label),
    stocks: stockBook.shape.stocks,
    /** What was chosen last. */
    last: z.object({ stock: labelStock, address: z.string() }).nullable(),
    printer: z.object({ name: z.string(), isSimulated: z.boolean() }),
  })
  .meta({ id: 'LabelBoard' });
export type LabelBoard = z.infer<typeof labelBoard>;

/** Where the house is found by whoever scans a code: with it, a camera that knows nothing of this program opens the box. */
const address = line('the address of the house', 120).refine((text) => /^https?:\/\/[^\s/]+$/.test(text), {
  error: 'Must be the address of the house with nothing behind it, for example http://burrow.local:4870.',
});
const about = (most: number) =>
  z
    .array(id, { error: 'Must be a list of ids of residents and free homes.' })
    .min(1, { error: 'Choose at least one label.' })
    .max(most, { error: `At most ${most} labels at a time.` });

const drawnSquare = z.object({ xMm: z.number(), yMm: z.number(), sizeMm: z.number() });
const drawnLabel = z.object({
  ...{ widthMm: z.number(), heightMm: z.number() },
  texts: z.array(
    z.object({
      ...{ text: z.string(), font: z.enum(LABEL_FONTS) },
      ...{ sizeMm: z.number(), xMm: z.number(), yMm: z.number() },
    }),
  ),
  code: drawnSquare,
  warning: drawnSquare.nullable(),
  leftOut: z.array(z.enum(['others', 'commonName', 'permit', 'life'])),
}) satisfies z.ZodType<DrawnLabel>;

export const drawnLabelsRequest = z.strictObject({ about: about(60), stock: labelStock, address });
/** Labels as they would be printed, with the dark squares of the code as a path in squares. */
export const drawnLabels = z.object({
  labels: z.array(drawnLabel.extend({ about: id, path: z.string(), squares: z.int() })),
});
export type DrawnLabels = z.infer<typeof drawnLabels>;

export const newLabelPrint = z.strictObject({
  id: id.optional(),
  about: about(20_000),
  stock: labelStock,
  startAt,
  address,
  cutMarks: z.boolean().default(false),
  wentTo: z.enum(['printer', 'file'], { error: 'Must be printer or file.' }),
});
export const labelPrint = z
  .object({ id, printedAt: instant, wentTo: z.enum(['printer', 'file']), labels: z.int(), pages: z.int() })
  .meta({ id: 'LabelPrint' });
export type LabelPrint = z.infer<typeof labelPrint>;

/** The label printer, and what came out of it last. */
export const printerBoard = z.object({
  ...{ name: z.string(), isSimulated: z.boolean() },
  /** Where its papers lie; null for a real one. */
  folder: z.string().nullable(),
  prints: z.array(labelPrint),
});
