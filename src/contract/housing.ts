import { z } from 'zod';
import { VENT_SIDES, wallWidthMm, type Container, type Vent } from '@/core/housing/container';
import type { FitAnswer } from '@/core/housing/fit';
import { BASES, STAGES } from '@/core/profiles/profile';
import { mm, oneOf, quantity } from './primitives';
import { PROFILE_IDS } from './profiles';

export const vent = z
  .strictObject({
    side: oneOf(VENT_SIDES),
    shape: oneOf(['hole', 'slot', 'panel']),
    count: quantity('openings', 1, 2000, true),
    diameterMm: mm(0.1, 1000).optional(),
    widthMm: mm(0.1, 3000).optional(),
    heightMm: mm(0.1, 3000).optional(),
    centreHeightMm: mm(0, 3000).optional(),
    meshOpenFraction: quantity('parts of one', 0.01, 1).optional(),
    meshApertureMm: mm(0.01, 100).optional(),
  })
  .superRefine((each, context) => {
    const needed = each.shape === 'hole' ? (['diameterMm'] as const) : (['widthMm', 'heightMm'] as const);
    for (const name of needed.filter((field) => each[field] === undefined)) {
      context.addIssue({ code: 'custom', path: [name], message: `A ${each.shape} needs ${needed.join(' and ')}.` });
    }
  }) satisfies z.ZodType<Vent>;

const containerCommon = {
  heightMm: mm(5, 3000),
  lid: oneOf(['solid', 'vented', 'mesh']),
  vents: z.array(vent, { error: 'Must be a list of vents; an empty list where there are none.' }).max(60),
};

export const container = z
  .discriminatedUnion(
    'shape',
    [
      z.strictObject({ shape: z.literal('box'), lengthMm: mm(5, 5000), widthMm: mm(5, 5000), ...containerCommon }),
      z.strictObject({ shape: z.literal('cylinder'), diameterMm: mm(5, 5000), ...containerCommon }),
    ],
    { error: 'Must be box (with lengthMm, widthMm, heightMm) or cylinder (with diameterMm, heightMm).' },
  )
  .superRefine((box, context) => {
    box.vents.forEach((each, index) => {
      for (const problem of ventProblems(box, each)) {
        context.addIssue({ code: 'custom', path: ['vents', index, problem.field], message: problem.message });
      }
    });
  }) satisfies z.ZodType<Container>;

/** A vent has to lie inside its wall (or lid, or floor). */
function ventProblems(box: Container, each: Vent): { field: keyof Vent; message: string }[] {
  const across = each.diameterMm ?? each.widthMm ?? 0;
  const tall = each.diameterMm ?? each.heightMm ?? 0;
  const flat = each.side === 'lid' || each.side === 'floor';
  const wallWidth = wallWidthMm(box, each.side);
  const wallHeight = flat ? (box.shape === 'box' ? box.widthMm : box.diameterMm) : box.heightMm;
  const problems: { field: keyof Vent; message: string }[] = [];
  if (across > wallWidth) {
    const field = each.diameterMm === undefined ? 'widthMm' : 'diameterMm';
    problems.push({ field, message: `Wider than the wall it is in, which is ${wallWidth} mm wide.` });
  }
  if (tall > wallHeight) {
    const field = each.diameterMm === undefined ? 'heightMm' : 'diameterMm';
    problems.push({ field, message: `Higher than the wall it is in, which is ${wallHeight} mm high.` });
  } else if (!flat && each.centreHeightMm !== undefined) {
    const low = tall / 2;
    const high = wallHeight - tall / 2;
    if (each.centreHeightMm < low || each.centreHeightMm > high) {
      problems.push({ field: 'centreHeightMm', message: `Must be from ${low} to ${high} mm, or it leaves the wall.` });
    }
  }
  return problems;
}

export const stage = oneOf(STAGES);

/** The measures of an animal, each optional: which are needed depends on its kind. */
export const measures = {
  legSpanMm: mm(0.5, 400).optional(),
  bodyLengthMm: mm(0.2, 640).optional(),
  carapaceWidthMm: mm(0.05, 60).optional(),
};

export const headCount = quantity('animals', 1, 1_000_000, true);
export const substrateDepthMm = mm(0, 3000);

/** Soil cannot stand higher than the box. */
export function depthWithinBox(
  value: { container: Container; substrateDepthMm: number },
  context: z.RefinementCtx,
): void {
  if (value.substrateDepthMm > value.container.heightMm) {
    context.addIssue({
      code: 'custom',
      path: ['substrateDepthMm'],
      message: `Must be at most the inside height, ${value.container.heightMm} mm; got ${value.substrateDepthMm}.`,
    });
  }
}

const animal = {
  profile: oneOf(PROFILE_IDS),
  stage,
  ...measures,
  headCount: headCount.optional(),
  school: z.string().max(60).optional(),
};

export const fitRequest = z
  .strictObject({ ...animal, container, substrateDepthMm })
  .superRefine(depthWithinBox)
  .meta({ id: 'FitRequest' });

const status = z.enum(['pass', 'watch', 'fail']);

export const fitReply = z
  .object({
    verdict: status,
    checks: z.array(
      z.object({
        rule: z.string(),
        status,
        title: z.string(),
        actual: z.number(),
        min: z.number().nullable(),
        max: z.number().nullable(),
        unit: z.enum(['mm', 'count']),
        grounds: z.object({
          rule: z.string(),
          why: z.string(),
          basis: z.enum(BASES),
          source: z.string().optional(),
          school: z.string().optional(),
          inputs: z.record(z.string(), z.number()),
          estimated: z.array(z.string()),
        }),
      }),
    ),
    substrateDepthMm: z.object({
      min: z.number(),
      max: z.number(),
      recommended: z.number().nullable(),
      conflict: z.object({ lower: z.string(), upper: z.string() }).optional(),
    }),
    largestSafeOpeningMm: z.number().nullable(),
  })
  .meta({ id: 'FitReply' }) satisfies z.ZodType<FitAnswer>;

export const rankRequest = z
  .strictObject({
    ...animal,
    homes: z
      .array(
        z
          .strictObject({ id: z.string().min(1).max(60), code: z.string().min(1).max(60), container, substrateDepthMm })
          .superRefine(depthWithinBox),
      )
      .max(2000),
  })
  .meta({ id: 'RankRequest' });

export const rankReply = z
  .object({
    ranking: z.array(
      z.object({
        homeId: z.string(),
        code: z.string(),
        depthMm: z.number(),
        soilToAddL: z.number(),
        fit: fitReply,
      }),
    ),
  })
  .meta({ id: 'RankReply' });
