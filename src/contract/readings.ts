import { z } from 'zod';
import { WATERING_WAYS } from '@/core/climate/soilLayers';
import { ALARM_KINDS, type Alarm } from '@/core/readings/alarms';
import { PLACES_IN_HOME } from '@/core/readings/places';
import { MARKS } from '@/core/readings/reading';
import { PROBE_FAULTS } from '@/core/readings/simulatedProbe';
import { calibration, humidityPct, roomAir, soilLayersReply, temperatureC } from './climate';
import { day, id, instant, line, oneOf, quantity } from './primitives';

export const PROBE_KINDS = ['device', 'logger', 'simulated', 'hand'] as const;
/** Where a probe sits: at a place in the home, under it as a scale, or in the room. */
export const PROBE_PLACES = [...PLACES_IN_HOME, 'scale', 'room'] as const;

const massG = quantity('grams', 0, 1_000_000);

/** An instant with its offset. */
const moment = z.iso.datetime({
  offset: true,
  error: 'Must be an instant such as 2026-03-14T19:30:00Z, with its offset.',
});

const values = {
  temperatureC: temperatureC.optional(),
  relativeHumidityPct: humidityPct.optional(),
  massG: massG.optional(),
};
const measuresSomething = (each: { temperatureC?: unknown; relativeHumidityPct?: unknown; massG?: unknown }) =>
  each.temperatureC !== undefined || each.relativeHumidityPct !== undefined || each.massG !== undefined;
const nothingMeasured = {
  path: ['temperatureC'],
  error: 'Give what was measured: temperatureC, relativeHumidityPct or massG.',
};

export const newReading = z
  .strictObject({ at: moment.optional(), ...values })
  .refine(measuresSomething, nothingMeasured);
export type NewReading = z.infer<typeof newReading>;

/** What a device sends: one reading, or those it kept while nobody answered. */
export const deviceReadings = z
  .union([
    z
      .strictObject({ device: line('the name of the device', 60).optional(), at: moment.optional(), ...values })
      .refine(measuresSomething, nothingMeasured),
    z.strictObject({
      device: line('the name of the device', 60).optional(),
      readings: z.array(newReading).min(1).max(5000),
    }),
  ])
  .meta({ id: 'DeviceReadings' });

export const handReading = z
  .strictObject({
    place: oneOf([...PLACES_IN_HOME, 'scale']),
    at: moment.optional(),
    ...values,
  })
  .refine(measuresSomething, nothingMeasured)
  .meta({ id: 'HandReading' });

export const probe = z
  .object({
    id,
    name: z.string(),
    kind: z.enum(PROBE_KINDS),
    place: z.enum(PROBE_PLACES),
    homeId: id.nullable(),
    roomId: id.nullable(),
    fault: z.enum(PROBE_FAULTS),
    /** Its battery is as old, until it is changed. */
    addedAt: instant,
    latest: z
      .object({
        at: instant,
        temperatureC: z.number().nullable(),
        relativeHumidityPct: z.number().nullable(),
        massG: z.number().nullable(),
      })
      .nullable(),
  })
  .meta({ id: 'Probe' });
export type Probe = z.infer<typeof probe>;

export const newProbe = z
  .strictObject({
    id: id.optional(),
    name: line('what the probe is called', 60),
    kind: oneOf(['device', 'simulated']),
    place: oneOf(PROBE_PLACES),
    homeId: id.optional(),
    roomId: id.optional(),
  })
  .refine((each) => (each.homeId === undefined) !== (each.roomId === undefined), {
    path: ['homeId'],
    error: 'Give the home or the room it hangs in: one of the two.',
  })
  .refine((each) => (each.place === 'room') === (each.roomId !== undefined), {
    path: ['place'],
    error:
      'A probe of a room has the place "room", one of a home air, cool, warm or scale, of a nest of chambers nest, outworld or scale.',
  });

export const probeChange = z
  .strictObject({ name: line('what the probe is called', 60), fault: oneOf(PROBE_FAULTS) })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'Give at least one field to change.' });

export const seriesPoint = z.object({
  at: instant,
  temperatureC: z.number().nullable(),
  relativeHumidityPct: z.number().nullable(),
  massG: z.number().nullable(),
  /** Lowest and highest within the point, where it stands for several readings. */
  lowPct: z.number().nullable(),
  highPct: z.number().nullable(),
});

export const probeSeries = z
  .object({
    stepMinutes: z.number(),
    readings: z.int(),
    points: z.array(seriesPoint),
    /** Readings that are doubted, shown and not reckoned with. */
    doubted: z.array(
      z.object({
        at: instant,
        mark: z.enum(MARKS),
        temperatureC: z.number().nullable(),
        relativeHumidityPct: z.number().nullable(),
      }),
    ),
  })
  .meta({ id: 'ProbeSeries' });

// ---- files of loggers ----

export const newImport = z
  .strictObject({
    name: line('what the logger is called', 60),
    homeId: id.optional(),
    roomId: id.optional(),
    place: oneOf(PROBE_PLACES),
  })
  .refine((each) => (each.homeId === undefined) !== (each.roomId === undefined), {
    path: ['homeId'],
    error: 'Give the home or the room it lay in: one of the two.',
  });

/** Rows as numbers, in the order at, C, %, mark: two hundred thousand of them are sent. */
export const importRows = z.strictObject({
  rows: z
    .array(
      z.tuple([
        quantity('milliseconds since 1970', 0, 4_102_444_800_000),
        temperatureC.nullable(),
        humidityPct.nullable(),
        z.enum(MARKS).nullable(),
      ]),
    )
    .min(1)
    .max(10_000),
});

export const importResult = z.object({ probeId: id, added: z.int(), duplicates: z.int() });

// ---- the air of a home ----

export const alarm = z.object({
  kind: z.enum(ALARM_KINDS),
  since: z.number(),
  hours: z.number(),
  value: z.number().optional(),
  limit: z.number().optional(),
  isBorne: z.boolean().optional(),
}) satisfies z.ZodType<Alarm>;

/** An alarm, and which probe it is that says so. */
export const probeAlarm = alarm.extend({ probeId: id, probe: z.string() });

export const wateringOutlook = z.object({
  /** The first day on which it may be dry, the likely one, and the last. */
  dueOn: day.nullable(),
  likelyOn: day.nullable().optional(),
  lateOn: day.nullable().optional(),
  waterMl: z.number(),
  dampWetness: z.number(),
  dampWetnessMin: z.number(),
  by: z.enum(['damped', 'felt', 'weighed', 'dry-air']),
  since: day,
  way: z.enum(WATERING_WAYS),
  layers: soilLayersReply,
  dryAir: z.object({ humidityPct: z.number(), hours: z.number(), minPct: z.number() }).optional(),
});

export const room = z
  .object({
    id,
    name: z.string(),
    air: roomAir.required({ draughtMS: true }),
    /** Where the numbers come from: a probe of the last week, a keeper's setting, or what is usual. */
    from: z.enum(['readings', 'set', 'usual']),
  })
  .meta({ id: 'Room' });
export type Room = z.infer<typeof room>;

export const homeAir = z
  .object({
    room,
    watering: wateringOutlook.nullable(),
    alarms: z.array(probeAlarm),
    waterLost: z.object({ lostMl: z.number(), mlPerDay: z.number(), fromAt: z.number(), toAt: z.number() }).nullable(),
    probes: z.array(probe),
  })
  .meta({ id: 'HomeAir' });
export type HomeAir = z.infer<typeof homeAir>;

export const calibrationReply = z.object({ calibration, readings: z.int(), weighings: z.int() });
