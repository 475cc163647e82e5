import { LEFT_OUT } from '@/core/climate/leftOut';
import { z } from 'zod';
import { HEAT_SOURCES, USUAL_DRAUGHT_MS } from '@/core/climate/homeAir';
import { WATERING_WAYS } from '@/core/climate/soilLayers';
import { AIR_REGIMES } from '@/core/climate/regimes';
import { WISHES } from '@/core/climate/ventPlan';
import { meanDepthMm } from '@/core/housing/soil';
import { VENT_SIDES, WALL_SIDES } from '@/core/housing/container';
import { OPENING_SCHOOLS } from '@/core/housing/drilling';
import { container, vent } from './housing';
import { mm, oneOf, profileId, quantity } from './primitives';
import { depth, recipe, soilOf, wetness } from './substrate';

export const temperatureC = quantity('degrees Celsius', -40, 60);
export const humidityPct = quantity('percent', 0, 100);
const kelvins = quantity('kelvins', 0, 30);
const metresPerSecond = quantity('metres a second', 0, 5);
const cm2 = quantity('square centimetres', 0, 20_000);

// ---- psychrometrics ----

export const psychrometricsRequest = z
  .strictObject({
    temperatureC,
    relativeHumidityPct: humidityPct,
    pressurePa: quantity('pascals', 50_000, 110_000).optional(),
  })
  .meta({ id: 'PsychrometricsRequest' });

export const psychrometricsReply = z
  .object({
    saturationVapourPressurePa: z.number(),
    vapourPressurePa: z.number(),
    dewPointC: z.number().nullable(),
    absoluteHumidityGM3: z.number(),
    vapourPressureDeficitPa: z.number(),
    mixingRatioGKg: z.number(),
  })
  .meta({ id: 'PsychrometricsReply' });

// ---- openings ----

const openingSettings = {
  wallThicknessMm: mm(0.1, 60).optional(),
  seamGapMm: mm(0, 5).optional(),
  lidOff: z.boolean().optional(),
};

/** Soil cannot stand over the lid. */
function soilWithinBox(
  value: { container: { heightMm: number }; soilMm: number },
  context: z.RefinementCtx,
  path: string[],
) {
  if (value.soilMm <= value.container.heightMm) return;
  const message = `Must be at most the inside height, ${value.container.heightMm} mm; got ${value.soilMm}.`;
  context.addIssue({ code: 'custom', path, message });
}

export const ventsRequest = z
  .strictObject({
    container,
    substrateDepthMm: mm(0, 3000).default(0),
    temperatureC: temperatureC.default(21),
    pressurePa: quantity('pascals', 50_000, 110_000).optional(),
    warmingK: kelvins.default(0),
    draughtMS: metresPerSecond.default(USUAL_DRAUGHT_MS),
    ...openingSettings,
  })
  .superRefine((value, context) =>
    soilWithinBox({ container: value.container, soilMm: value.substrateDepthMm }, context, ['substrateDepthMm']),
  )
  .meta({ id: 'VentsRequest' });

export const ventsReply = z
  .object({
    vapourConductanceM3S: z.number(),
    diffusionM3S: z.number(),
    stackFlowM3S: z.number(),
    draughtFlowM3S: z.number(),
    bulkFlowM3S: z.number(),
    airVolumeL: z.number(),
    airChangesPerHour: z.number(),
    openings: z.array(
      z.object({
        /** Place in `container.vents`; null for what is not listed there. */
        index: z.int().nullable(),
        side: z.enum([...VENT_SIDES, 'seam']),
        count: z.int(),
        openAreaMm2: z.number(),
        diffusionM3S: z.number(),
        bulkM3S: z.number(),
        sharePct: z.number(),
      }),
    ),
  })
  .meta({ id: 'VentsReply' });

// ---- moisture ----

const ends = z.strictObject({ damp: wetness, dry: wetness });

const layersOfEnd = z.strictObject({ top: wetness, middle: wetness, low: wetness });
/** Wetness of surface, middle and lower half of both ends. */
export const soilLayers = z.strictObject({ damp: layersOfEnd, dry: layersOfEnd });

const layersReply = z.object({ top: z.number(), middle: z.number(), low: z.number() });
export const soilLayersReply = z.object({ damp: layersReply, dry: layersReply });

const substrateInHome = z.strictObject({
  depthMm: depth,
  recipe,
  /** Of both ends as a whole. */
  wetness: ends,
  /** How the water lies in them; evenly if left out. Goes before `wetness`. */
  layers: soilLayers.optional(),
  dampSharePct: quantity('percent', 0, 100).default(50),
  litterDepthMm: mm(0, 500).optional(),
});

export const roomAir = z.strictObject({
  temperatureC,
  relativeHumidityPct: humidityPct,
  draughtMS: metresPerSecond.default(USUAL_DRAUGHT_MS),
  dailySwingK: quantity('kelvins', 0, 15).optional(),
});

const roomSeries = z
  .array(z.strictObject({ hour: quantity('hours', 0, 10_000), temperatureC, relativeHumidityPct: humidityPct }))
  .min(1)
  .max(20_000)
  .refine((series) => series.every((each, index) => index === 0 || each.hour > (series[index - 1]?.hour ?? 0)), {
    error: 'The hours must rise from reading to reading.',
  });

export const band = z
  .strictObject({ min: humidityPct, max: humidityPct })
  .refine(({ min, max }) => min < max, { path: ['max'], error: 'Must be more than min.' });

const factor = quantity('times', 0.02, 50);
const deviation = quantity('as a logarithm', 0, 5);
export const factors = z.strictObject({
  draught: factor,
  surface: factor,
  spread: z.strictObject({ draught: deviation, surface: deviation }).optional(),
});

const wishes = z.strictObject({
  humidityPct: band.optional(),
  dampWetnessMin: quantity('wetness', 0, 1.5).optional(),
  minAirChangesPerHour: quantity('air changes an hour', 0, 1000).optional(),
});

const moistHome = {
  container,
  substrate: substrateInHome,
  dishAreaCm2: cm2.optional(),
  room: roomAir,
  roomSeries: roomSeries.optional(),
  warmingK: kelvins.default(0),
  factors: factors.optional(),
  ...openingSettings,
};

type Moist = { container: { heightMm: number }; substrate: { depthMm: z.output<typeof depth> } };
const soilFits = (value: Moist, context: z.RefinementCtx) =>
  soilWithinBox({ container: value.container, soilMm: meanDepthMm(soilOf(value.substrate)) }, context, [
    'substrate',
    'depthMm',
  ]);

export const moistureRequest = z
  .strictObject({
    ...moistHome,
    /** Takes its bands where `wishes` gives none. */
    profile: profileId.optional(),
    wishes: wishes.optional(),
    /** Poured at the start. */
    pour: z.strictObject({ way: oneOf(WATERING_WAYS), waterMl: quantity('millilitres', 0, 100_000) }).optional(),
    /** What has to stay damp of the damp end: the whole of it, or its surface. */
    judged: z.enum(['whole', 'top']).optional(),
    days: quantity('days', 1, 400),
    stepMinutes: oneOfNumbers([1, 2, 5, 10, 15, 20, 30, 60]).default(60),
  })
  .superRefine(soilFits)
  .meta({ id: 'MoistureRequest' });

function oneOfNumbers(values: number[]) {
  return z.number().refine((value) => values.includes(value), { error: `Must be one of ${values.join(', ')}.` });
}

const series = z.array(
  z.object({
    hour: z.number(),
    relativeHumidityPct: z.number(),
    dampWetness: z.number(),
    dryWetness: z.number(),
    layers: soilLayersReply,
    temperatureC: z.number(),
  }),
);

const forecast = {
  airChangesPerHour: z.number(),
  steadyRelativeHumidityPct: z.number(),
  daysToRedamp: z.number().nullable(),
  dampWetnessMin: z.number(),
  redampMl: z.number(),
  condensationHours: z.number(),
  waterLostMl: z.number(),
  dishMlPerDay: z.number(),
  inBandPct: z.number().nullable(),
  staleAir: z.enum(['fresh', 'still', 'stale']),
};

export const moistureReply = z
  .object({
    ...forecast,
    /** In eight of ten boxes like this one; null for longer than the forecast. days */
    redampBand: z.object({ earliest: z.number().nullable(), latest: z.number().nullable() }),
    /** Of what was poured the soil could not hold so much: it stands on the bottom. mL */
    standsMl: z.number(),
    series,
    leftOut: z.array(z.enum(LEFT_OUT)),
  })
  .meta({ id: 'MoistureReply' });

// ---- holes for a band ----

export const ventPlanRequest = z
  .strictObject({
    ...moistHome,
    wishes: z.strictObject({
      humidityPct: band,
      redampDays: quantity('days', 0, 90),
      airChangesPerHour: quantity('air changes an hour', 0, 1000),
      dampWetnessMin: quantity('wetness', 0, 1.5).optional(),
      maxHoleMm: mm(0.1, 100),
      openings: oneOf(OPENING_SCHOOLS).optional(),
    }),
  })
  .superRefine(soilFits)
  .meta({ id: 'VentPlanRequest' });

const ventOption = z.object({
  sides: z.array(z.enum(WALL_SIDES as unknown as ['front', 'back', 'left', 'right'])),
  holesPerSide: z.int(),
  diameterMm: z.number(),
  meshApertureMm: z.number().nullable(),
  vents: z.array(vent),
  openAreaMm2: z.number(),
  airChangesPerHour: z.number(),
  relativeHumidityPct: z.number(),
  redampDays: z.number(),
  staleAir: z.enum(['fresh', 'still', 'stale']),
  grants: z.object(
    Object.fromEntries(WISHES.map((wish) => [wish, z.boolean()])) as Record<(typeof WISHES)[number], z.ZodBoolean>,
  ),
});

export const ventPlanReply = z
  .object({
    best: ventOption.nullable(),
    relax: z.array(z.object({ wish: z.enum(WISHES), to: z.number(), message: z.string() })),
    tradeOff: z.array(ventOption),
    isGlass: z.boolean(),
    horizonDays: z.number(),
  })
  .meta({ id: 'VentPlanReply' });

// ---- calibration ----

const hour = quantity('hours', 0, 10_000);

export const calibrateRequest = z
  .strictObject({
    ...moistHome,
    measured: z.strictObject({
      humidity: z
        .array(z.strictObject({ hour, relativeHumidityPct: humidityPct }))
        .max(5000)
        .default([]),
      masses: z
        .array(z.strictObject({ hour, massG: quantity('grams', 0, 1_000_000) }))
        .max(1000)
        .default([]),
    }),
  })
  .superRefine(soilFits)
  .meta({ id: 'CalibrateRequest' });

const errors = z.object({ before: z.number(), after: z.number() }).nullable();
export const calibration = z.object({
  factors: z.object({
    draught: z.number(),
    surface: z.number(),
    spread: z.object({ draught: z.number(), surface: z.number() }).optional(),
  }),
  fitted: z.array(z.enum(['draught', 'surface'])),
  humidityErrorPct: errors,
  massErrorG: errors,
  kept: z.enum(['too-few', 'too-short', 'no-better']).nullable(),
});
export const calibrateReply = calibration.meta({ id: 'CalibrateReply' });

// ---- two schools ----

export const airSchoolsRequest = z
  .strictObject({
    ...moistHome,
    dishAreaCm2: cm2,
    mistToPct: quantity('percent', 1, 100),
    mistMl: quantity('millilitres', 0.1, 1000),
    wishes: wishes.optional(),
    days: quantity('days', 2, 60).default(21),
  })
  .superRefine(soilFits)
  .meta({ id: 'AirSchoolsRequest' });

export const airSchoolsReply = z
  .object({
    schools: z.array(
      z.object({
        school: z.enum(AIR_REGIMES),
        ...forecast,
        mistingsPerWeek: z.number(),
        waterMlPerWeek: z.number(),
        wetHoursPct: z.number(),
        humiditySwingPct: z.number(),
        series,
      }),
    ),
  })
  .meta({ id: 'AirSchoolsReply' });

// ---- what a keeper says about rooms and homes ----

export const heat = z.strictObject({
  source: oneOf(HEAT_SOURCES),
  hasThermostat: z.boolean(),
  warmingK: quantity('kelvins', 0, 20),
});

export const dishArea = cm2;
