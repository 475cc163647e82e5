import { z } from 'zod';
import type { CompanyAnswer } from '@/core/housing/company';
import {
  LID_FITS,
  OPENINGS,
  VENT_SIDES,
  WALL_KINDS,
  WALL_SIDES,
  floorAreaMm2,
  soilLimitMm,
  wallWidthMm,
  type Container,
  type Vent,
} from '@/core/housing/container';
import { OPENING_SCHOOLS } from '@/core/housing/drilling';
import type { FitAnswer } from '@/core/housing/fit';
import { FURNITURE_KINDS, type Furniture } from '@/core/housing/furniture';
import type { Nest } from '@/core/housing/nest';
import { deepestMm, meanDepthMm, type Soil } from '@/core/housing/soil';
import { BASES, PLACES, QUANTITIES, STAGES } from '@/core/profiles/profile';
import { line, mm, oneOf, profileId, quantity, MOST_AT_ONCE, tooMany } from './primitives';

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
  lidFit: oneOf(LID_FITS).optional(),
  vents: z.array(vent, { error: 'Must be a list of vents; an empty list where there are none.' }).max(60),
  opens: oneOf(OPENINGS).optional(),
  sillMm: mm(0, 3000).optional(),
  walls: oneOf(WALL_KINDS).optional(),
  coveredSides: z.array(oneOf(VENT_SIDES)).max(6).optional(),
};

export const container = z
  .discriminatedUnion(
    'shape',
    [
      z.strictObject({
        shape: z.literal('box'),
        lengthMm: mm(5, 5000),
        widthMm: mm(5, 5000),
        topLengthMm: mm(5, 5000).optional(),
        topWidthMm: mm(5, 5000).optional(),
        ...containerCommon,
      }),
      z.strictObject({
        shape: z.literal('cylinder'),
        diameterMm: mm(5, 5000),
        topDiameterMm: mm(5, 5000).optional(),
        ...containerCommon,
      }),
    ],
    { error: 'Must be box (with lengthMm, widthMm, heightMm) or cylinder (with diameterMm, heightMm).' },
  )
  .superRefine((box, context) => {
    if (box.sillMm !== undefined && (box.opens !== 'front' || box.sillMm > box.heightMm)) {
      const message =
        box.opens === 'front'
          ? `Must be at most the inside height, ${box.heightMm} mm.`
          : 'Only a box that opens in front has a sill.';
      context.addIssue({ code: 'custom', path: ['sillMm'], message });
    }
    box.vents.forEach((each, index) => {
      for (const problem of ventProblems(box, each)) {
        context.addIssue({ code: 'custom', path: ['vents', index, problem.field], message: problem.message });
      }
    });
    for (const side of VENT_SIDES) {
      const index = box.vents.findIndex((each) => each.side === side);
      const holes = box.vents.filter((each) => each.side === side).reduce((sum, each) => sum + closedAreaMm2(each), 0);
      if (holes > wallAreaMm2(box, side)) {
        const message = `The openings of this side take more than the whole side, ${Math.round(wallAreaMm2(box, side))} mm2.`;
        context.addIssue({ code: 'custom', path: ['vents', index, 'count'], message });
      }
    }
  }) satisfies z.ZodType<Container>;

/** Area cut out of a wall, mesh or not. mm2 */
const closedAreaMm2 = (each: Vent) =>
  each.count *
  (each.diameterMm === undefined ? (each.widthMm ?? 0) * (each.heightMm ?? 0) : (Math.PI / 4) * each.diameterMm ** 2);

const wallAreaMm2 = (box: Container, side: Vent['side']) =>
  side === 'lid' || side === 'floor'
    ? Math.max(floorAreaMm2(box), topAreaMm2(box))
    : wallWidthMm(box, side) * box.heightMm;

const topAreaMm2 = (box: Container) =>
  box.shape === 'box'
    ? (box.topLengthMm ?? box.lengthMm) * (box.topWidthMm ?? box.widthMm)
    : (Math.PI / 4) * (box.topDiameterMm ?? box.diameterMm) ** 2;

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

const depth = mm(0, 3000);

export const soil = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({ shape: z.literal('flat'), depthMm: depth }),
    z.strictObject({ shape: z.literal('slope'), frontMm: depth, backMm: depth }),
    z.strictObject({ shape: z.literal('terraces'), depthsMm: z.array(depth).min(2).max(8) }),
  ],
  { error: 'Must be flat (depthMm), slope (frontMm, backMm) or terraces (depthsMm, 2 to 8 of them).' },
) satisfies z.ZodType<Soil>;

export const furniture = z
  .array(
    z.strictObject({
      kind: oneOf(FURNITURE_KINDS),
      count: quantity('pieces', 1, 500, true).optional(),
      heightMm: mm(0, 3000).optional(),
      stopped: z.boolean().optional(),
    }),
    { error: 'Must be a list of pieces; an empty list where there are none.' },
  )
  .max(40) satisfies z.ZodType<Furniture[]>;

const room = z.strictObject({ lengthMm: mm(3, 3000), widthMm: mm(3, 3000), heightMm: mm(2, 3000) });

export const nest = z.strictObject({
  chambers: z.array(room).min(1, { error: 'A nest has at least one chamber.' }).max(60),
  tubeBoreMm: mm(1, 100).optional(),
  outworld: room.optional(),
}) satisfies z.ZodType<Nest>;

export const stage = oneOf(STAGES);

/** The measures of an animal, each optional: which are needed depends on its kind. */
export const measures = {
  legSpanMm: mm(0.5, 400).optional(),
  bodyLengthMm: mm(0.2, 640).optional(),
  carapaceWidthMm: mm(0.05, 60).optional(),
};

export const headCount = quantity('animals', 1, 1_000_000, true);
export const substrateDepthMm = depth;

/** What is in a home besides its soil. */
export const homeContents = {
  soil: soil.optional(),
  furniture: furniture.optional(),
  litterDepthMm: mm(0, 500).optional(),
  nest: nest.optional(),
};

interface Filled {
  container: Container;
  substrateDepthMm: number;
  soil?: Soil | undefined;
  furniture?: Furniture[] | undefined;
}

/** Half a millimetre: what a keeper's ruler tells apart. */
const DEPTH_TOLERANCE_MM = 0.5;

/** Soil cannot stand higher than the box, nor a perch; the depth written is the mean of its surface. */
export function fillingWithinBox(value: Filled, context: z.RefinementCtx): void {
  const { heightMm } = value.container;
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
  if (value.substrateDepthMm > heightMm) {
    refuse(['substrateDepthMm'], `Must be at most the inside height, ${heightMm} mm; got ${value.substrateDepthMm}.`);
  }
  if (value.soil && deepestMm(value.soil) > heightMm) {
    refuse(['soil'], `Must nowhere be deeper than the inside height, ${heightMm} mm; got ${deepestMm(value.soil)}.`);
  }
  const limitMm = soilLimitMm(value.container);
  const deepMm = value.soil ? deepestMm(value.soil) : value.substrateDepthMm;
  if (limitMm < heightMm && deepMm > limitMm) {
    refuse(
      [value.soil ? 'soil' : 'substrateDepthMm'],
      `Must stay under the sill of the door, ${limitMm} mm; got ${deepMm}.`,
    );
  }
  if (value.soil && Math.abs(meanDepthMm(value.soil) - value.substrateDepthMm) > DEPTH_TOLERANCE_MM) {
    const mean = meanDepthMm(value.soil);
    refuse(['substrateDepthMm'], `Must be the mean depth of the soil, ${mean} mm; got ${value.substrateDepthMm}.`);
  }
  value.furniture?.forEach((piece, index) => {
    if ((piece.heightMm ?? 0) <= heightMm) return;
    refuse(
      ['furniture', index, 'heightMm'],
      `Must be at most the inside height, ${heightMm} mm; got ${piece.heightMm}.`,
    );
  });
}

export const animal = {
  profile: profileId,
  /** Takes the numbers of this species where they differ from its profile's. */
  scientificName: line('a scientific name', 90).optional(),
  stage,
  ...measures,
  headCount: headCount.optional(),
  school: z.string().max(60).optional(),
};

export const fitRequest = z
  .strictObject({ ...animal, container, substrateDepthMm, ...homeContents })
  .superRefine(fillingWithinBox)
  .meta({ id: 'FitRequest' });

export const status = z.enum(['pass', 'watch', 'fail']);

export const fitReply = z
  .object({
    verdict: status,
    checks: z.array(
      z.object({
        rule: z.string(),
        quantity: z.enum(QUANTITIES),
        status,
        title: z.string(),
        actual: z.number(),
        min: z.number().nullable(),
        max: z.number().nullable(),
        unit: z.enum(['mm', 'count', 'L', 'mm2', '%']),
        keptSo: z.object({ found: status, why: z.string() }).optional(),
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
    notChecked: z.array(z.object({ rule: z.string(), title: z.string(), needs: z.string() })),
    substrateDepthMm: z.object({
      min: z.number(),
      max: z.number(),
      recommended: z.number().nullable(),
      conflict: z.object({ lower: z.string(), upper: z.string() }).optional(),
    }),
    largestSafeOpeningMm: z.number().nullable(),
  })
  .meta({ id: 'FitReply' }) satisfies z.ZodType<FitAnswer>;

/** What to drill or cut. */
export const drillPlan = z.object({
  isGlass: z.boolean(),
  kind: z.enum(['none', 'holes', 'mesh-holes', 'mesh-panels']),
  sides: z.array(z.enum(WALL_SIDES as unknown as ['front', 'back', 'left', 'right'])),
  perSide: z.int(),
  diameterMm: z.number(),
  spacingMm: z.number(),
  centreHeightMm: z.number(),
  meshApertureMm: z.number().nullable(),
  openSharePct: z.number(),
  isShort: z.boolean(),
  covered: z.array(z.enum(VENT_SIDES)),
});

export const candidateHome = z
  .strictObject({
    id: z.string().min(1).max(60),
    code: z.string().min(1).max(60),
    container,
    substrateDepthMm,
    ...homeContents,
    /** How warm it is there on average. C */
    temperatureC: quantity('degrees Celsius', -20, 60).optional(),
    /** Its air by its forecast; by its openings in a usual room where left out. An hour */
    airChangesPerHour: quantity('air changes an hour', 0, 100_000).optional(),
    /** Nothing is drilled in it: somebody lives there. */
    asItStands: z.boolean().optional(),
    /** Heads of the same kind that live there, and whether others do among whom it would be a cleaner. */
    headsOfKind: quantity('animals', 0, 1_000_000, true).optional(),
    isHost: z.boolean().optional(),
  })
  .superRefine(fillingWithinBox);

export const rankRequest = z
  .strictObject({
    ...animal,
    /** The school on openings, for what is drilled. */
    openings: oneOf(OPENING_SCHOOLS).optional(),
    homes: z.array(candidateHome).max(MOST_AT_ONCE, { error: tooMany('homes') }),
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
        /** How it would be drilled first; `fit` is then of the drilled box. */
        drill: drillPlan.nullable(),
        warmth: z.object({ temperatureC: z.number(), minC: z.number(), maxC: z.number(), status }).nullable(),
        air: z.object({ airChangesPerHour: z.number(), minPerHour: z.number(), status }).nullable(),
        verdict: status,
        afterMoults: z.array(z.object({ moults: z.int(), verdict: status, depthMm: z.number() })),
      }),
    ),
  })
  .meta({ id: 'RankReply' });

export const boxSize = z.object({
  id: z.string(),
  name: z.string(),
  groups: z.array(z.string()),
  lives: z.array(z.enum(PLACES)),
  container,
  nest: nest.optional(),
  basis: z.enum(BASES),
});

export const ladderRequest = z.strictObject(animal).meta({ id: 'LadderRequest' });
export const ladderReply = z
  .object({
    steps: z.array(
      z.object({
        size: boxSize,
        verdict: status,
        depthMm: z.number(),
        fromMoults: z.int(),
        toMoults: z.int(),
        fromMm: z.number(),
        toMm: z.number(),
      }),
    ),
    endsAtMm: z.number().nullable(),
  })
  .meta({ id: 'LadderReply' });

export const boxesRequest = z
  .strictObject({
    residents: z
      .array(z.strictObject({ id: z.string().min(1).max(60), ...animal }))
      .max(MOST_AT_ONCE, { error: tooMany('residents') }),
    freeHomes: z.array(candidateHome).max(MOST_AT_ONCE, { error: tooMany('homes') }),
  })
  .meta({ id: 'BoxesRequest' });
export const boxesReply = z
  .object({
    housed: z.array(z.object({ residentId: z.string(), homeId: z.string(), depthMm: z.number(), verdict: status })),
    buy: z.array(z.object({ size: boxSize, residentIds: z.array(z.string()) })),
    unserved: z.array(z.string()),
  })
  .meta({ id: 'BoxesReply' });

export const companyRequest = z
  .strictObject({
    lodgers: z
      .array(
        z.strictObject({
          label: line('what it is called', 60),
          scientificName: line('a scientific name', 90),
          profile: profileId,
          headCount: headCount.optional(),
        }),
      )
      .min(1)
      .max(50),
  })
  .meta({ id: 'CompanyRequest' });
const companyCheck = {
  status,
  who: z.array(z.string()),
  grounds: z.object({ basis: z.enum(BASES), source: z.string().optional() }),
};
export const companyReply = z
  .object({
    verdict: status,
    checks: z.array(
      z.discriminatedUnion('rule', [
        z.object({ ...companyCheck, rule: z.enum(['alone', 'other-colony']), species: z.string() }),
        z.object({ ...companyCheck, rule: z.enum(['eaten', 'young-look-alike']) }),
        z.object({
          ...companyCheck,
          rule: z.enum(['different-damp', 'different-dry']),
          wetness: z.tuple([z.number(), z.number()]),
        }),
        z.object({
          ...{ ...companyCheck, rule: z.literal('different-climate') },
          unshared: z.array(z.enum(['temperatureC', 'humidityPct'])),
        }),
      ]),
    ),
  })
  .meta({ id: 'CompanyReply' }) satisfies z.ZodType<CompanyAnswer>;
