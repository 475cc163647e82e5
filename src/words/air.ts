import type { WateringWay } from '@/core/climate/soilLayers';
import type { LEFT_OUT } from '@/core/climate/leftOut';
import { changesNumber } from './staleAir';
import type { HomeAir, Probe, Room } from '@/contract/readings';
import type { HeatCaution } from '@/core/climate/heat';
import type { HeatSource } from '@/core/climate/homeAir';
import type { Relaxation, VentOption } from '@/core/climate/ventPlan';
import { pouredMl } from '@/core/climate/pouredMl';
import { waterStatus } from '@/core/climate/watering';
import type { Status } from '@/core/housing/fit';
import { daysBetween } from '@/core/measure/day';
import { SIDE_WORDS } from './home';
import { dayWords, daysWords } from './days';
import { POURED_WORDS, waterWords } from './jobs';
import type { TemperatureWords } from './temperature';
import type { LengthWords } from './lengths';
import { countWords, listWords, pct } from './count';

/** What is told of the water of a home in words. */
type Watering = Omit<NonNullable<HomeAir['watering']>, 'layers'>;

/** What to do about the water of a home, and when. */
export function wateringWords(watering: Watering | null, today: string): { status: Status; title: string } {
  const status = waterStatus(watering, today);
  if (!watering) return { status, title: 'Its soil is not kept damp' };
  const { dueOn, waterMl, way, dryAir } = watering;
  const water = `${waterWords(pouredMl(waterMl))} ${POURED_WORDS[way]}`;
  if (dryAir) return { status, title: `Too dry: ${water} today` };
  if (dueOn === null) return { status, title: 'Stays damp for months' };
  if (dueOn <= today) return { status, title: `Damp it today: ${water}` };
  const { lateOn = dueOn } = watering;
  const late = lateOn === null ? null : daysBetween(today, lateOn);
  return { status, title: `Damp it again in ${spanWords(daysBetween(today, dueOn), late)}` };
}

/** "12 to 30 days", "12 days", "12 days or more": eight of ten such boxes lie within. */
export function spanWords(from: number, to: number | null): string {
  const [first, last] = [Math.floor(from), to === null ? null : Math.floor(to)];
  if (last === null) return `${daysWords(first)} or more`;
  return last <= first ? daysWords(first) : `${first} to ${daysWords(last)}`;
}

/** When it likely is dry, and the last day it may hold; null where only one day is known, or it likely is dry already. */
export function likelyWords({ likelyOn, lateOn }: Watering, today: string): string | null {
  if (likelyOn === undefined || likelyOn === null || likelyOn <= today) return null;
  const late = lateOn ? `, nearly surely by ${dayWords(lateOn, today)}` : '';
  return `Most likely dry ${dayWords(likelyOn, today)}${late}. Feel the soil first: a handful or a weighing makes it surer.`;
}

const BY_WORDS = {
  damped: 'damped',
  felt: 'felt by hand',
  weighed: 'weighed',
  'dry-air': 'by its probe',
} as const;

/** "Damp end at 62 % of what it holds, limit 60 %; damped 14 Nov." */
export function wateringReason(watering: Watering, today: string): string {
  const { dampWetness, dampWetnessMin, by, since, way } = watering;
  return `${way === 'throughout' ? 'Soil' : 'Damp end'} at ${pct(100 * dampWetness)} of what it holds, limit ${pct(100 * dampWetnessMin)}; ${BY_WORDS[by]} ${dayWords(since, today)}.`;
}

/** "25 C, 48 %, by its probes" */
export function roomWords({ air, from }: Room, temperature: TemperatureWords): string {
  const source = { readings: 'by its probes', set: 'as set', usual: 'taken as usual, not measured' }[from];
  return `${temperature.long(air.temperatureC)}, ${pct(air.relativeHumidityPct)}, ${source}`;
}

/** One opening: "left, 12 of 4 mm". */
export const openingSide = (side: string): string =>
  side === 'seam' ? 'seam of the lid' : (SIDE_WORDS[side as keyof typeof SIDE_WORDS] ?? side);

/** A way of drilling: "2 holes of 3 mm in each of left and right". */
export function holesWords(
  option: Pick<VentOption, 'sides' | 'holesPerSide' | 'diameterMm' | 'meshApertureMm'>,
  length: LengthWords,
): string {
  const { sides, holesPerSide, diameterMm, meshApertureMm } = option;
  if (holesPerSide === 0) return 'No holes: the seam of the lid alone';
  const holes = countWords(holesPerSide, 'hole');
  const where = sides.length === 4 ? 'each of the four sides' : listWords(sides.map((side) => SIDE_WORDS[side]));
  const mesh = meshApertureMm === null ? '' : `, under mesh of ${length.long(Math.round(10 * meshApertureMm) / 10)},`;
  return `${holes} of ${length.drill(diameterMm)}${mesh} in ${where}`;
}

/** Which wish to ease. */
export function relaxWords({ wish, to }: Relaxation): string {
  switch (wish) {
    case 'redampDays':
      return `Damp it every ${daysWords(Math.floor(to))}, and the rest can be had.`;
    case 'airChanges':
      return `Be content with ${changesNumber(to)} changes of air an hour, and the rest can be had.`;
    case 'humidityLow':
      return `Let the air be as dry as ${Math.floor(to)} %, and the rest can be had.`;
    case 'humidityHigh':
      return `Let the air be as damp as ${Math.ceil(to)} %, and the rest can be had.`;
  }
}

export const PLACE_WORDS: Record<Probe['place'], string> = {
  air: 'in its air',
  cool: 'cool side',
  warm: 'warm side',
  nest: 'in a chamber of the nest',
  outworld: 'in the outworld',
  scale: 'kitchen scale',
  room: 'the room',
};

export const KIND_WORDS: Record<Probe['kind'], string> = {
  device: 'device',
  logger: 'file of a logger',
  simulated: 'simulated',
  hand: 'by hand',
};

export const FAULT_WORDS: Record<Probe['fault'], string> = {
  none: 'works',
  'drop-outs': 'drops out',
  stuck: 'sticks',
  silent: 'falls silent',
};

/** What a probe said: "23.4 C, 81 %". */
export function valuesWords(
  each: { temperatureC: number | null; relativeHumidityPct: number | null; massG: number | null },
  temperature: TemperatureWords,
): string {
  const words = [
    ...(each.temperatureC === null ? [] : [temperature.long(each.temperatureC)]),
    ...(each.relativeHumidityPct === null ? [] : [`${each.relativeHumidityPct.toFixed(0)} %`]),
    ...(each.massG === null ? [] : [`${each.massG.toFixed(0)} g`]),
  ];
  return words.join(', ');
}

export const HEAT_WORDS: { value: HeatSource; title: string }[] = [
  { value: 'mat-on-side', title: 'mat on a side' },
  { value: 'mat-below', title: 'mat below' },
  { value: 'cable', title: 'cable' },
  { value: 'lamp', title: 'lamp' },
];

/** A caution where heat is added. */
export function heatCautionWords({ code, temperatureC = 0, limitC = 0 }: HeatCaution, t: TemperatureWords): string {
  switch (code) {
    case 'cooks-diggers':
      return 'Never under an animal that digs: it goes down to cool off, and cooks. Move the mat to a side.';
    case 'not-below':
      return 'Better on a side: a mat below dries the soil from the wrong end.';
    case 'no-thermostat':
      return 'Put it on a thermostat, its sensor where the animal is. Without one a mat has no limit.';
    case 'over-band':
      return `The warm side would reach ${t.long(temperatureC)}; this kind is kept up to ${t.long(limitC)}.`;
    case 'mains-and-water':
      return 'Mains near water: a drip loop in the cable, a residual-current device. What the maker and local electrical codes say holds.';
    case 'dries':
      return 'Warmth dries: the forecast on “Air and water” counts it in.';
    case 'spot-thermometer':
      return 'Measure the warm and the cool side with a spot thermometer; dial gauges lie.';
  }
}

/** What the physics leaves out, and which way it errs. */
export const LEFT_OUT_WORDS: Record<(typeof LEFT_OUT)[number], string> = {
  walls: 'Water through the walls themselves: thin plastic lets a little pass. It dries a little sooner than shown.',
  cooling: 'Evaporation cools the soil by a degree or so. It dries a little later than shown.',
  cracks: 'Water runs along burrows, roots and cracks, and off soil that has dried right through and repels it.',
  life: 'Breath, droppings, food and roots. They add water; a large colony adds much.',
  opening: 'Opening the box, and doors, heating and weather that change the room within the day.',
  mould: 'Mould, sour soil and smell. The warning of stale air says where they begin, not whether.',
};

/** A way of watering, to choose. */
export const WAY_WORDS: Record<WateringWay, string> = {
  'down-side': 'down the side',
  'at-end': 'on the damp end',
  throughout: 'all over',
  'mist-top': 'mist on top',
  'fill-dish': 'the dish alone',
};
