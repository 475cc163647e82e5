import { z } from 'zod';
import { OPENING_SCHOOLS } from '@/core/housing/drilling';
import { BASES } from '@/core/profiles/profile';
import { FURNITURE_KINDS } from '@/core/housing/furniture';
import { MATERIAL_CAUTIONS, MATERIALS, type Material, type Mix } from '@/core/substrate/material';
import { FEELS, WETNESS_OF_FEEL } from '@/core/substrate/wetness';
import {
  animal,
  container,
  drillPlan,
  fillingWithinBox,
  homeContents,
  soil,
  status,
  substrateDepthMm,
} from './housing';
import { day, line, mm, oneOf, quantity, rangeOf } from './primitives';
import { fact } from './profile';

// ---- materials and mixes ----

const amount = (unit: string, min: number, max: number) =>
  fact.refine(({ value }) => value >= min && value <= max, {
    path: ['value'],
    error: `Must be a number of ${unit} from ${min} to ${max}.`,
  });

export const material = z.strictObject({
  id: oneOf(MATERIALS),
  name: z.string().min(1).max(60),
  looseDensityGPerL: amount('grams a litre', 5, 3000),
  waterHeldMlPerL: amount('millilitres a litre', 0, 1000),
  creepMm2PerH: amount('square millimetres an hour', 0.01, 10_000),
  suctionMm: amount('mm', 1, 20_000),
  brick: z
    .strictObject({
      massG: amount('grams', 10, 20_000),
      soakWaterL: amount('litres', 0.1, 100),
      looseVolumeL: amount('litres', 0.1, 200),
    })
    .optional(),
  cautions: z.array(z.enum(MATERIAL_CAUTIONS)),
  preparation: z.enum(['bake-or-boil', 'rinse', 'soak']).optional(),
}) satisfies z.ZodType<Material>;

/** The numbers of a material that a keeper may read off a bag and set. */
export const materialChange = z
  .strictObject({
    looseDensityGPerL: quantity('grams a litre', 5, 3000),
    waterHeldMlPerL: quantity('millilitres a litre', 0, 1000),
    brick: z
      .strictObject({
        massG: quantity('grams', 10, 20_000),
        soakWaterL: quantity('litres', 0.1, 100),
        looseVolumeL: quantity('litres', 0.1, 200),
      })
      .optional(),
  })
  .meta({ id: 'MaterialChange' });
export type MaterialChange = z.infer<typeof materialChange>;

export const recipe = z
  .array(z.strictObject({ material: oneOf(MATERIALS), parts: quantity('parts', 0, 1000) }), {
    error: 'Must be a list of parts: [{material, parts}].',
  })
  .min(1, { error: 'A recipe has at least one part.' })
  .max(20)
  .refine((parts) => parts.some((part) => part.parts > 0), { error: 'All parts are 0: at least one must be more.' });

export const mix = z.strictObject({
  id: z.string(),
  name: z.string(),
  recipe,
  basis: z.enum(BASES),
  source: z.string().optional(),
}) satisfies z.ZodType<Mix>;

// ---- wetness ----

const WETNESS_ERROR = `Must be a wetness from 0 (dry) to 1.5 (dripping), or one of ${FEELS.join(', ')}.`;

/** A number, or how a squeezed handful feels. */
export const wetness = z.union([z.number().min(0).max(1.5), z.enum(FEELS).transform((feel) => WETNESS_OF_FEEL[feel])], {
  error: WETNESS_ERROR,
});

// ---- filling one home ----

/** `98`, `{frontMm, backMm}` or a list of terraces. */
export const depth = z.union([mm(0, 3000), z.strictObject({ frontMm: mm(0, 3000), backMm: mm(0, 3000) }), soil], {
  error: 'Must be a number of millimetres from 0 to 3000, {frontMm, backMm}, or terraces.',
});

const filling = {
  container,
  depthMm: depth.optional(),
  frontMm: mm(0, 3000).optional(),
  backMm: mm(0, 3000).optional(),
  recipe,
  wetnessFrom: wetness.default(0),
  wetnessTo: wetness,
  displacedL: quantity('litres', 0, 2000).optional(),
  settlingPct: quantity('percent', 0, 50).optional(),
};

type Filling = Pick<z.output<z.ZodObject<typeof filling>>, 'container' | 'depthMm' | 'frontMm' | 'backMm'>;

/** The surface that a request describes in one of its three ways. */
export function soilOf({ depthMm, frontMm, backMm }: Omit<Filling, 'container'>): z.infer<typeof soil> {
  if (typeof depthMm === 'number') return { shape: 'flat', depthMm };
  if (depthMm !== undefined) return 'shape' in depthMm ? depthMm : { shape: 'slope', ...depthMm };
  return { shape: 'slope', frontMm: frontMm ?? 0, backMm: backMm ?? 0 };
}

function filledWithin(value: Filling, context: z.RefinementCtx): void {
  const given = value.depthMm !== undefined;
  const sloped = value.frontMm !== undefined && value.backMm !== undefined;
  if (given === sloped) {
    const message = 'Give either depthMm, or frontMm and backMm.';
    context.addIssue({ code: 'custom', path: ['depthMm'], message });
    return;
  }
  const surface = soilOf(value);
  const depths =
    surface.shape === 'flat'
      ? [surface.depthMm]
      : surface.shape === 'slope'
        ? [surface.frontMm, surface.backMm]
        : surface.depthsMm;
  const { heightMm } = value.container;
  if (Math.max(...depths) <= heightMm) return;
  const path = given ? ['depthMm'] : [(value.frontMm ?? 0) > heightMm ? 'frontMm' : 'backMm'];
  context.addIssue({
    code: 'custom',
    path,
    message: `Must be at most the inside height, ${heightMm} mm; got ${Math.max(...depths)}.`,
  });
}

export const substrateRequest = z.strictObject(filling).superRefine(filledWithin).meta({ id: 'SubstrateRequest' });

const materialAmount = z.object({
  material: z.enum(MATERIALS),
  volumeL: z.number(),
  dryMassG: z.number(),
  waterMl: z.number(),
});

const bricks = z.object({
  material: z.enum(MATERIALS),
  count: z.int(),
  pieceMassG: z.number(),
  pieceWaterMl: z.number(),
  soakWaterMl: z.number(),
  looseVolumeL: z.number(),
  wetness: z.number(),
});

export const substrateReply = z
  .object({
    volumeL: z.number(),
    materials: z.array(materialAmount),
    bricks: z.array(bricks),
    waterMl: z.number(),
    excessWaterMl: z.number(),
    dryMassG: z.number(),
    wetMassG: z.number(),
    between: z.object({ waterMl: rangeOf(z.number()), wetMassG: rangeOf(z.number()) }),
  })
  .meta({ id: 'SubstrateReply' });

export const plasterRequest = z
  .strictObject({
    areaMm2: quantity('square millimetres', 1, 4_000_000),
    thicknessMm: mm(1, 200),
    waterPerPowder: quantity('millilitres a gram', 0.4, 1.2).default(0.7),
  })
  .meta({ id: 'PlasterRequest' });
export const plasterReply = z
  .object({
    volumeMl: z.number(),
    powderG: z.number(),
    waterMl: z.number(),
    dryMassG: z.number(),
    poreWaterMl: z.number(),
  })
  .meta({ id: 'PlasterReply' });

export const refreshRequest = z
  .strictObject({
    volumeL: quantity('litres', 0.01, 5000),
    sharePct: quantity('percent (never more than half at a time)', 5, 50),
    everyDays: quantity('days', 7, 365, true),
    oldLeftPct: quantity('percent', 1, 95),
    startOn: day,
  })
  .meta({ id: 'RefreshRequest' });
export const refreshReply = z
  .object({ steps: z.array(z.object({ on: day, changeL: z.number(), oldLeftPct: z.number() })) })
  .meta({ id: 'RefreshReply' });

export const shelfLoadRequest = z
  .strictObject({
    massesG: z.array(quantity('grams', 0, 1_000_000)).max(2000),
    limitKg: quantity('kilograms', 0.1, 5000),
  })
  .meta({ id: 'ShelfLoadRequest' });
export const shelfLoadReply = z
  .object({ massKg: z.number(), limitKg: z.number(), usedPct: z.number(), status })
  .meta({ id: 'ShelfLoadReply' });

// ---- the build sheet ----

const homeToBuild = z
  .strictObject({
    code: line('what the box is called', 60),
    ...animal,
    container,
    substrateDepthMm,
    ...homeContents,
    recipe,
    wetnessFrom: wetness.default(0),
    wetnessTo: wetness.optional(),
    openings: oneOf(OPENING_SCHOOLS).optional(),
  })
  .superRefine(fillingWithinBox);

export const buildSheetRequest = z
  .strictObject({ homes: z.array(homeToBuild).min(1).max(100) })
  .meta({ id: 'BuildSheetRequest' });

const cautions = z.array(
  z.enum([
    'drill',
    'hot-iron',
    'boiling-water',
    'dust',
    'caustic-dust',
    'sets-hot',
    'mould-spores',
    'unsprayed-leaves',
    'zip',
  ]),
);
const step = <Code extends string, Shape extends z.ZodRawShape>(code: Code, shape: Shape) =>
  z.object({ code: z.literal(code), ...shape, cautions });

export const buildStep = z.discriminatedUnion('code', [
  step('drill', { plan: drillPlan }),
  step('glass', { mayMeshLid: z.boolean() }),
  step('cover', { meshApertureMm: z.number() }),
  step('prepare', {
    material: z.enum(MATERIALS),
    how: z.enum(['bake-or-boil', 'rinse', 'soak']),
    volumeL: z.number(),
  }),
  step('soak-bricks', { bricks }),
  step('pour', { plaster: plasterReply }),
  step('mix', { materials: z.array(materialAmount) }),
  step('water', { waterMl: z.number(), excessWaterMl: z.number(), fromBricksMl: z.number(), feel: z.enum(FEELS) }),
  step('fill', { soil, volumeL: z.number(), dampSharePct: z.number() }),
  step('litter', { depthMm: z.number(), volumeL: z.number() }),
  step('furnish', { kind: z.enum(FURNITURE_KINDS), count: z.int() }),
  step('grains', {}),
  step('settle', { days: z.number() }),
  step('label', {}),
]);

export const buildSheetReply = z
  .object({
    homes: z.array(z.object({ code: z.string(), filling: substrateReply, steps: z.array(buildStep) })),
    pooled: substrateReply.omit({ dryMassG: true, excessWaterMl: true, between: true }),
  })
  .meta({ id: 'BuildSheetReply' });
