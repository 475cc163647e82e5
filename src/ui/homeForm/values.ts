import type { TemperatureUnit } from '@/client/preferences';
import type { Home } from '@/contract/records';
import type { HeatSource } from '@/core/climate/homeAir';
import type { Container, LidFit, Opens, Vent, VentSide, WallKind } from '@/core/housing/container';
import type { FurnitureKind } from '@/core/housing/furniture';
import type { Nest, Room } from '@/core/housing/nest';
import type { LengthWords } from '@/words/lengths';

/** Openings of one kind, the same in each of some sides; lengths as typed. */
export interface VentGroup {
  sides: VentSide[];
  shape: Vent['shape'];
  count: string;
  across: string;
  tall: string;
  centre: string;
  isMeshed: boolean;
  aperture: string;
  openPct: string;
}

export interface PieceValues {
  kind: FurnitureKind;
  count: string;
  height: string;
  isStopped: boolean;
}

export interface RoomValues {
  length: string;
  width: string;
  height: string;
}

/** A box as it is typed in the form: every length is text in the keeper's unit. */
export interface HomeValues {
  code: string;
  shelfId: string;
  room: string;
  shelf: string;
  shape: Container['shape'];
  length: string;
  width: string;
  height: string;
  isTapered: boolean;
  topLength: string;
  topWidth: string;
  depth: string;
  lid: Container['lid'];
  /** How it sits on its rim; empty where nobody said. */
  lidFit: LidFit | '';
  opens: Opens | '';
  /** Of a door in front: the wall that stands under it. */
  sill: string;
  walls: WallKind | '';
  covered: VentSide[];
  /** What lets the air in; empty until it was said. */
  openings: OpeningsKind | '';
  vents: VentGroup[];
  knowsContents: boolean;
  pieces: PieceValues[];
  litter: string;
  mixId: string;
  isNest: boolean;
  chambers: RoomValues[];
  tubeBore: string;
  hasOutworld: boolean;
  outworld: RoomValues;
  weightLimitKg: string;
  isQuarantined: boolean;
  heatSource: HeatSource | '';
  hasThermostat: boolean;
  /** In the keeper's unit of temperature. */
  warming: string;
  /** Open water, cm2. */
  dish: string;
}

export type OpeningsKind = 'none' | 'drilled' | 'mesh';

/** Degrees of the keeper's unit for a kelvin. */
export const KELVINS: Record<TemperatureUnit, number> = { C: 1, F: 1.8 };

export const NEW_SHELF = 'new';
const NO_ROOM: RoomValues = { length: '', width: '', height: '' };

export const NEW_VENTS: VentGroup = {
  sides: ['left', 'right'],
  shape: 'hole',
  count: '',
  across: '',
  tall: '',
  centre: '',
  isMeshed: false,
  aperture: '',
  openPct: '40',
};
export const NEW_PIECE: PieceValues = { kind: 'hide', count: '1', height: '', isStopped: false };
export const NEW_ROOM = NO_ROOM;

export const emptyHome = (shelfId: string): HomeValues => ({
  code: '',
  shelfId,
  room: '',
  shelf: '',
  shape: 'box',
  length: '',
  width: '',
  height: '',
  isTapered: false,
  topLength: '',
  topWidth: '',
  depth: '0',
  lid: 'solid',
  lidFit: '',
  opens: '',
  sill: '',
  walls: '',
  covered: [],
  openings: '',
  vents: [],
  knowsContents: false,
  pieces: [],
  litter: '',
  mixId: '',
  isNest: false,
  chambers: [NO_ROOM],
  tubeBore: '',
  hasOutworld: false,
  outworld: NO_ROOM,
  weightLimitKg: '',
  isQuarantined: false,
  heatSource: '',
  hasThermostat: true,
  warming: '',
  dish: '',
});

/** A box of the records as the form shows it. */
export function valuesOf(home: Home, length: LengthWords, degrees: TemperatureUnit = 'C'): HomeValues {
  const { furniture, heat } = home;
  const text = textIn(length);
  return {
    ...emptyHome(home.shelfId),
    ...boxValues(home, length),
    code: home.code,
    depth: text(home.substrateDepthMm),
    knowsContents: furniture !== undefined,
    pieces: (furniture ?? []).map(({ kind, count = 1, heightMm, stopped = false }) => ({
      kind,
      count: String(count),
      height: text(heightMm),
      isStopped: stopped,
    })),
    litter: text(home.litterDepthMm),
    mixId: home.mixId ?? '',
    weightLimitKg: home.weightLimitKg === null ? '' : String(home.weightLimitKg),
    isQuarantined: home.quarantineSince !== null,
    heatSource: heat?.source ?? '',
    hasThermostat: heat?.hasThermostat ?? true,
    warming: heat ? String(Math.round(10 * heat.warmingK * KELVINS[degrees]) / 10) : '',
    dish: home.dishAreaCm2 === undefined ? '' : String(home.dishAreaCm2),
  };
}

const textIn = (length: LengthWords) => (mm: number | undefined) => (mm === undefined ? '' : length.short(mm));

/** The box itself as the form shows it, with the nest that is in it. What was typed of another nest is only put aside. */
export const boxValues = ({ container, nest }: Pick<Home, 'container' | 'nest'>, length: LengthWords) => ({
  ...containerValues(container, length),
  ...(nest ? nestValues(nest, length) : { isNest: false }),
});

function nestValues(nest: Nest, length: LengthWords) {
  const text = textIn(length);
  const room = (each: Room | undefined): RoomValues =>
    each ? { length: text(each.lengthMm), width: text(each.widthMm), height: text(each.heightMm) } : NO_ROOM;
  return {
    isNest: true,
    chambers: nest.chambers.map(room),
    tubeBore: text(nest.tubeBoreMm),
    hasOutworld: nest.outworld !== undefined,
    outworld: room(nest.outworld),
  };
}

/** Its lengths, its lid and its openings. */
function containerValues(container: Container, length: LengthWords) {
  const text = textIn(length);
  const top =
    container.shape === 'box' ? [container.topLengthMm, container.topWidthMm] : [container.topDiameterMm, undefined];
  return {
    shape: container.shape,
    length: text(container.shape === 'box' ? container.lengthMm : container.diameterMm),
    width: text(container.shape === 'box' ? container.widthMm : undefined),
    height: text(container.heightMm),
    isTapered: top.some((mm) => mm !== undefined),
    topLength: text(top[0]),
    topWidth: text(top[1]),
    lid: container.lid,
    lidFit: container.lidFit ?? ('' as const),
    opens: container.opens ?? ('' as const),
    sill: text(container.sillMm),
    walls: container.walls ?? ('' as const),
    covered: container.coveredSides ?? [],
    openings: openingsOf(container.vents),
    vents: groupsOf(container.vents, text),
  };
}

/** Which picture stands for some openings: with mesh on one of them it is mesh that lets the air in. */
function openingsOf(vents: readonly Vent[]): OpeningsKind {
  if (vents.length === 0) return 'none';
  const isMeshed = vents.some((vent) => vent.meshApertureMm !== undefined || vent.meshOpenFraction !== undefined);
  return isMeshed ? 'mesh' : 'drilled';
}

/** Equal openings of several sides stand together in the form. */
function groupsOf(vents: Vent[], text: (mm: number | undefined) => string): VentGroup[] {
  const groups: VentGroup[] = [];
  for (const vent of vents) {
    const group: VentGroup = {
      sides: [vent.side],
      shape: vent.shape,
      count: String(vent.count),
      across: text(vent.diameterMm ?? vent.widthMm),
      tall: text(vent.heightMm),
      centre: text(vent.centreHeightMm),
      isMeshed: vent.meshApertureMm !== undefined || vent.meshOpenFraction !== undefined,
      aperture: text(vent.meshApertureMm),
      openPct: vent.meshOpenFraction === undefined ? '40' : String(Math.round(vent.meshOpenFraction * 100)),
    };
    const key = (each: VentGroup) => JSON.stringify({ ...each, sides: [] });
    const alike = groups.find((each) => key(each) === key(group));
    if (alike) alike.sides.push(vent.side);
    else groups.push(group);
  }
  return groups;
}
