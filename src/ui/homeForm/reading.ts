import type { Container, Vent } from '@/core/housing/container';
import type { Furniture } from '@/core/housing/furniture';
import type { Nest } from '@/core/housing/nest';
import type { TemperatureUnit } from '@/client/preferences';
import type { Heat } from '@/core/climate/homeAir';
import { numberIn } from '@/core/measure/typedNumber';
import { lengthIn } from '../forms/checks';
import type { LengthWords } from '@/words/lengths';
import { KELVINS, type HomeValues, type PieceValues, type RoomValues, type VentGroup } from './values';

/** What a form describes, as far as it is filled in. */
export interface ReadHome {
  container: Container;
  furniture: Furniture[] | undefined;
  litterDepthMm: number | null;
  nest: Nest | null;
  mixId: string | null;
  weightLimitKg: number | null;
  heat: Heat | null;
  dishAreaCm2: number | null;
}

type Read = (text: string) => number | undefined;

const given = <Value>(name: string, value: Value | undefined | '') =>
  value === undefined || value === '' ? {} : { [name]: value };

/** A length, or nothing at all: "0" is a length here. */
const zeroOr = (read: Read) => (text: string) => (/^\s*0+([.,]0*)?\s*$/.test(text) ? 0 : read(text));

/** The home that the form describes so far; null until its lengths are there. */
export function readHome(values: HomeValues, { unit }: LengthWords, degrees: TemperatureUnit = 'C'): ReadHome | null {
  const read: Read = (text) => lengthIn(text, unit);
  const container = readContainer(values, read);
  if (!container) return null;
  const kilograms = Number(values.weightLimitKg.replace(',', '.'));
  return {
    container,
    furniture: values.knowsContents ? values.pieces.map((piece) => readPiece(piece, read)) : undefined,
    litterDepthMm: zeroOr(read)(values.litter) ?? null,
    nest: values.isNest ? readNest(values, read) : null,
    mixId: values.mixId === '' ? null : values.mixId,
    weightLimitKg: values.weightLimitKg.trim() !== '' && kilograms > 0 ? kilograms : null,
    heat: readHeat(values, degrees),
    dishAreaCm2: numberIn(values.dish) ?? null,
  };
}

/** The heat in the form; one whose warming nobody has measured yet adds none. */
export function readHeat(
  { heatSource, hasThermostat, warming }: Pick<HomeValues, 'heatSource' | 'hasThermostat' | 'warming'>,
  degrees: TemperatureUnit,
): Heat | null {
  if (heatSource === '') return null;
  return { source: heatSource, hasThermostat, warmingK: (numberIn(warming) ?? 0) / KELVINS[degrees] };
}

/** The depth of the soil in the form. mm */
export function readDepth(values: Pick<HomeValues, 'depth'>, { unit }: LengthWords): number {
  return zeroOr((text) => lengthIn(text, unit))(values.depth) ?? 0;
}

function readContainer(values: HomeValues, read: Read): Container | null {
  const [long, wide, heightMm] = [read(values.length), read(values.width), read(values.height)];
  if (long === undefined || heightMm === undefined) return null;
  const common = {
    heightMm,
    lid: values.lid,
    ...(values.lidFit !== '' && values.lid !== 'mesh' && { lidFit: values.lidFit }),
    vents: values.vents.flatMap((group) => readVents(group, read)),
    ...given('opens', values.opens),
    ...given('sillMm', values.opens === 'front' ? read(values.sill) : undefined),
    ...given('walls', values.walls),
    ...(values.covered.length > 0 && { coveredSides: values.covered }),
  };
  const [topLong, topWide] = values.isTapered ? [read(values.topLength), read(values.topWidth)] : [];
  if (values.shape === 'cylinder') {
    return { shape: 'cylinder', diameterMm: long, ...common, ...given('topDiameterMm', topLong) };
  }
  if (wide === undefined) return null;
  return {
    shape: 'box',
    lengthMm: long,
    widthMm: wide,
    ...common,
    ...given('topLengthMm', topLong),
    ...given('topWidthMm', topWide),
  };
}

function readVents(group: VentGroup, read: Read): Vent[] {
  const count = Number(group.count);
  const across = read(group.across);
  const tall = read(group.tall);
  if (!(count >= 1) || across === undefined || (group.shape !== 'hole' && tall === undefined)) return [];
  const aperture = read(group.aperture);
  const open = Number(group.openPct) / 100;
  return group.sides.map((side) => {
    const hasHeight = side !== 'lid' && side !== 'floor';
    return {
      side,
      shape: group.shape,
      count,
      ...(group.shape === 'hole' ? { diameterMm: across } : { widthMm: across, heightMm: tall }),
      ...(hasHeight && given('centreHeightMm', read(group.centre))),
      ...(group.isMeshed && given('meshApertureMm', aperture)),
      ...(group.isMeshed && open > 0 && open <= 1 && { meshOpenFraction: open }),
    };
  });
}

function readPiece({ kind, count, height, isStopped }: PieceValues, read: Read): Furniture {
  return {
    kind,
    count: Math.max(1, Math.round(Number(count)) || 1),
    ...given('heightMm', read(height)),
    ...(kind === 'bottle' && { stopped: isStopped }),
  };
}

function readNest(values: HomeValues, read: Read): Nest | null {
  const chambers = values.chambers.flatMap((room) => readRoom(room, read) ?? []);
  if (chambers.length === 0) return null;
  return {
    chambers,
    ...given('tubeBoreMm', read(values.tubeBore)),
    ...(values.hasOutworld && given('outworld', readRoom(values.outworld, read))),
  };
}

function readRoom({ length, width, height }: RoomValues, read: Read) {
  const [lengthMm, widthMm, heightMm] = [read(length), read(width), read(height)];
  return lengthMm !== undefined && widthMm !== undefined && heightMm !== undefined
    ? { lengthMm, widthMm, heightMm }
    : undefined;
}

const FIELDS: Record<string, keyof HomeValues> = {
  lengthMm: 'length',
  diameterMm: 'length',
  widthMm: 'width',
  heightMm: 'height',
  topLengthMm: 'topLength',
  topDiameterMm: 'topLength',
  topWidthMm: 'topWidth',
  substrateDepthMm: 'depth',
  litterDepthMm: 'litter',
  sillMm: 'sill',
  weightLimitKg: 'weightLimitKg',
  tubeBoreMm: 'tubeBore',
  warmingK: 'warming',
  dishAreaCm2: 'dish',
  room: 'room',
  name: 'shelf',
};

/** The field of the form that a path of the request came from: `container.vents.2.count`, for example. */
export function fieldFor(path: string, values: HomeValues): string {
  const parts = path.split('.');
  const last = parts.at(-1) ?? '';
  const at = parts.indexOf('vents');
  if (at >= 0) {
    // A group stands for one vent in each of its sides.
    let index = Number(parts[at + 1] ?? 0);
    const group = values.vents.findIndex((each) => (index -= each.sides.length) < 0);
    const own: Record<string, string> = {
      count: 'count',
      centreHeightMm: 'centre',
      heightMm: 'tall',
      meshApertureMm: 'aperture',
      meshOpenFraction: 'openPct',
    };
    return `vents.${Math.max(0, group)}.${own[last] ?? 'across'}`;
  }
  if (parts[0] === 'furniture') return `pieces.${parts[1] ?? 0}.${last === 'count' ? 'count' : 'height'}`;
  return FIELDS[last] ?? 'code';
}
