import type { Place, Silhouette, Stage } from '@/core/profiles/profile';
import { floorLongSideMm, topLongSideMm, wallAlongLength, type Container, type Vent } from './container';
import { lowestPerchMm, type Furniture, type FurnitureKind } from './furniture';
import type { HomeState } from './quantities';
import { depthAtMm, flat, shallowestMm, type Soil } from './soil';

/** A point of the cut, in mm: x from the left edge of the widest part, y upward from the inside floor. */
export interface Point {
  x: number;
  y: number;
}

/** An opening as the cut shows it: through the left or right wall, through the lid or floor, or in the wall behind. */
export interface SectionVent extends Point {
  where: 'left' | 'right' | 'lid' | 'floor' | 'behind';
  acrossMm: number;
  tallMm: number;
  round: boolean;
  meshed: boolean;
}

/** A piece of furniture as a thick line from its foot to its top. */
export interface Piece {
  kind: FurnitureKind;
  foot: Point;
  top: Point;
  thickMm: number;
}

export interface PlacedAnimal {
  /** Where its feet are, and the slope they stand on; turned over it hangs. */
  at: Point;
  angleDeg: number;
  hangs: boolean;
  /** Its taken measure, drawn as measured. mm */
  sizeMm: number;
}

export interface Rect extends Point {
  widthMm: number;
  heightMm: number;
}

/** Chambers, tube and outworld of an ant nest, the outworld over the nest, at the scale of the box. */
export interface NestDrawing {
  chambers: Rect[];
  outworld: Rect | null;
  tube: { from: Point; to: Point; boreMm: number } | null;
}

/** Everything a true-to-scale cut through a home shows, in mm; pixels are the drawing's business. */
export interface SectionPlan {
  /** Width of the drawing: of the box where it is widest, or of an outworld over it. */
  widthMm: number;
  /** Height of the drawing. */
  fullHeightMm: number;
  heightMm: number;
  floor: { leftMm: number; rightMm: number };
  lid: { leftMm: number; rightMm: number };
  /** The line of the soil from left to right. */
  surface: Point[];
  depthMm: number;
  /** From the lowest place of the soil to the lid: the longest fall. */
  gapMm: number;
  litterMm: number;
  vents: SectionVent[];
  /** `even` where all the soil is kept damp, `gradient` where only one end is. */
  damp: 'even' | 'gradient';
  pieces: Piece[];
  dish: { leftMm: number; widthMm: number; y: number } | null;
  silhouette: Silhouette | null;
  stage: Stage | null;
  animals: PlacedAnimal[];
  /** From the lowest place to hang from down to the soil. */
  drop: { x: number; fromMm: number; toMm: number } | null;
  nest: NestDrawing | null;
  scaleBarMm: number;
}

export interface SectionSubject {
  stage: Stage;
  silhouette: Silhouette;
  /** The taken measure, mm. */
  sizeMm: number;
  lives: Place;
  headCount?: number | undefined;
  /** Share of the floor kept damp, %: from 90 all of it is drawn damp. */
  dampSharePct: number;
}

/** Largest of the numbers 1, 2, 5 times a power of ten that is at most `mm`; the length of a scale bar. */
export function scaleBarMm(mm: number): number {
  const power = 10 ** Math.floor(Math.log10(mm));
  const step = [5, 2, 1].find((each) => each * power <= mm) ?? 1;
  return step * power;
}

/** So many of a group are drawn; more would hide the box. */
const MOST_DRAWN = 9;

/**
 * Lays out the cut along the longer side of a home. What is known to be in it is drawn; where nobody said, a kind gets
 * what its kind lives on (a bark to lean, a branch, a hide). Lengths in mm.
 */
export function sectionPlan(home: HomeState, subject: SectionSubject | null): SectionPlan {
  const { container, nest } = home;
  const soil = home.soil ?? flat(home.substrateDepthMm);
  const { heightMm } = container;
  const [floorMm, topMm] = [floorLongSideMm(container), topLongSideMm(container)];
  const boxMm = Math.max(floorMm, topMm);
  const edges = (mm: number) => ({ leftMm: (boxMm - mm) / 2, rightMm: (boxMm + mm) / 2 });
  const cut: Cut = { container, soil, boxMm, edges: (y) => edges(floorMm + ((topMm - floorMm) * y) / heightMm) };
  const pieces = piecesFor(home.furniture, subject, cut);
  const nestDrawing = nest ? drawNest(nest, boxMm, heightMm) : null;
  const widthMm = Math.max(boxMm, nestDrawing?.outworld?.widthMm ?? 0);
  return {
    widthMm,
    fullHeightMm: nestDrawing?.outworld ? nestDrawing.outworld.y + nestDrawing.outworld.heightMm : heightMm,
    heightMm,
    floor: edges(floorMm),
    lid: edges(topMm),
    surface: surfaceLine(cut),
    depthMm: home.substrateDepthMm,
    gapMm: heightMm - shallowestMm(soil),
    litterMm: home.litterDepthMm ?? 0,
    vents: container.vents.flatMap((vent) => ventsInCut(vent, cut)),
    damp: subject && subject.dampSharePct >= 90 ? 'even' : 'gradient',
    pieces,
    dish: dishFor(home.furniture, subject, cut),
    silhouette: subject?.silhouette ?? null,
    stage: subject?.stage ?? null,
    animals: subject ? placeAnimals(subject, cut, pieces, nestDrawing) : [],
    drop: dropOf(home.furniture, cut),
    nest: nestDrawing,
    scaleBarMm: scaleBarMm(widthMm / 3),
  };
}

interface Cut {
  container: Container;
  soil: Soil;
  boxMm: number;
  edges: (y: number) => { leftMm: number; rightMm: number };
}

/** The soil at a share of the way from left to right. */
function surfacePoint({ soil, edges }: Cut, share: number): Point {
  const y = depthAtMm(soil, share);
  const { leftMm, rightMm } = edges(y);
  return { x: leftMm + (rightMm - leftMm) * share, y };
}

function surfaceLine(cut: Cut): Point[] {
  const { soil } = cut;
  if (soil.shape !== 'terraces') return [surfacePoint(cut, 0), surfacePoint(cut, 1)];
  const count = soil.depthsMm.length;
  return soil.depthsMm.flatMap((y, index) =>
    [index / count, (index + 1) / count].map((share) => {
      const { leftMm, rightMm } = cut.edges(y);
      return { x: leftMm + (rightMm - leftMm) * share, y };
    }),
  );
}

const THICKNESS: { [Kind in FurnitureKind]?: number } = {
  branch: 0.012,
  perch: 0.012,
  'stone-stack': 0.08,
  slab: 0.03,
};

/** What a kind lives on where nobody said what is in its home. */
const USUAL: Record<Place, FurnitureKind[]> = {
  ground: ['hide'],
  soil: ['hide'],
  bark: ['bark'],
  wall: ['hide'],
  roof: ['branch'],
  branch: ['branch'],
  nest: [],
};

function piecesFor(furniture: Furniture[] | undefined, subject: SectionSubject | null, cut: Cut): Piece[] {
  const known = furniture?.flatMap(({ kind, count = 1, heightMm }) =>
    Array.from({ length: Math.min(count, 4) }, () => ({ kind, heightMm })),
  );
  const kinds = known ?? (subject ? USUAL[subject.lives].map((kind) => ({ kind, heightMm: undefined })) : []);
  const standing = kinds.filter(({ kind }) => kind !== 'dish');
  return standing.map(({ kind, heightMm }, index) => placePiece(kind, heightMm, index, standing.length, subject, cut));
}

function placePiece(
  kind: FurnitureKind,
  perchMm: number | undefined,
  index: number,
  count: number,
  subject: SectionSubject | null,
  cut: Cut,
): Piece {
  const { heightMm } = cut.container;
  const share = (index + 0.5) / Math.max(2, count);
  const ground = surfacePoint(cut, share);
  const gap = heightMm - ground.y;
  const thickMm = cut.boxMm * (THICKNESS[kind] ?? 0.025);
  const size = Math.min((subject?.sizeMm ?? cut.boxMm / 4) * 0.8, cut.boxMm * 0.36);
  const piece = (foot: Point, top: Point): Piece => ({ kind, foot, top, thickMm });
  switch (kind) {
    case 'bark':
      if (subject?.lives === 'ground' || subject?.lives === 'soil' || subject?.lives === 'wall') break;
      // A little shorter than the box, leaned from one foot corner towards the opposite wall.
      return piece(surfacePoint(cut, 0.22), { x: cut.boxMm * 0.78, y: surfacePoint(cut, 0.78).y + gap * 0.88 });
    case 'bark-round':
    case 'rough-strip':
      return piece({ x: cut.boxMm * share, y: ground.y }, { x: cut.boxMm * share, y: ground.y + gap * 0.9 });
    case 'branch':
    case 'perch': {
      if (perchMm !== undefined) {
        return piece({ x: cut.boxMm * 0.06, y: perchMm }, { x: cut.boxMm * 0.94, y: perchMm });
      }
      // Several cross one another, each less steep than the last.
      const foot = index % 2 === 0 ? 0.14 + 0.05 * index : 0.9 - 0.05 * index;
      const top = { x: cut.boxMm * (1 - foot), y: ground.y + gap * Math.max(0.3, 0.86 - 0.12 * index) };
      return piece(surfacePoint(cut, foot), top);
    }
    case 'roof-net':
      return piece({ x: cut.boxMm * 0.06, y: heightMm - 4 }, { x: cut.boxMm * 0.94, y: heightMm - 4 });
    case 'bottle':
      return piece(ground, { x: ground.x, y: ground.y + Math.min(gap * 0.3, 120) });
    case 'hide':
    case 'slab':
    case 'stone-stack':
    case 'dish':
      break;
  }
  const left = Math.max(cut.edges(ground.y).leftMm, ground.x - size / 2);
  return piece({ x: left, y: ground.y }, { x: left + size, y: ground.y });
}

function dishFor(furniture: Furniture[] | undefined, subject: SectionSubject | null, cut: Cut): SectionPlan['dish'] {
  const wanted = furniture ? furniture.some((piece) => piece.kind === 'dish') : subject !== null && usesDish(subject);
  if (!wanted) return null;
  const widthMm = Math.min((subject?.sizeMm ?? cut.boxMm / 3) * 0.4, cut.boxMm * 0.16);
  // At the dry end, beyond where the animal stands.
  const { x, y } = surfacePoint(cut, 0.96);
  return { leftMm: x - widthMm, widthMm, y };
}

const WITH_DISH = new Set<Silhouette>(['tarantula', 'scorpion', 'snail']);
const usesDish = ({ silhouette, stage }: SectionSubject) => WITH_DISH.has(silhouette) && stage !== 'spiderling';

function dropOf(furniture: Furniture[] | undefined, cut: Cut): SectionPlan['drop'] {
  const fromMm = lowestPerchMm(furniture);
  if (fromMm === null) return null;
  return { x: cut.boxMm * 0.7, fromMm, toMm: surfacePoint(cut, 0.7).y };
}

function placeAnimals(subject: SectionSubject, cut: Cut, pieces: Piece[], nest: NestDrawing | null): PlacedAnimal[] {
  // No more than stand in the box without covering one another.
  const abreast = Math.max(1, Math.floor((cut.boxMm * (subject.lives === 'branch' ? 1.2 : 1)) / subject.sizeMm));
  const count = Math.min(MOST_DRAWN, nest ? MOST_DRAWN : abreast, subject.headCount ?? 1);
  const first = placeOne(subject, cut, pieces, nest);
  if (count === 1) return [first];
  const { leftMm, rightMm } = cut.edges(first.at.y);
  const room = Math.max(0, rightMm - leftMm - subject.sizeMm);
  return Array.from({ length: count }, (_, index) => {
    const x = leftMm + subject.sizeMm / 2 + (room * index) / (count - 1);
    if (nest) return inChamber(subject, nest, index);
    if (subject.lives === 'wall') return onWall(subject, cut, index, count);
    if (subject.lives === 'soil') return { ...first, at: { x, y: first.at.y * (0.55 + 0.35 * ((index * 5) % 3)) } };
    if (first.hangs || first.angleDeg !== 0) {
      const along = count === 1 ? 0.5 : 0.15 + (0.7 * index) / (count - 1);
      return { ...first, at: alongPiece(pieces, along, first.at) };
    }
    return { ...first, at: { x, y: surfacePoint(cut, x / cut.boxMm).y } };
  });
}

const STOOD_ON = new Set<FurnitureKind>(['bark', 'bark-round', 'branch', 'perch']);

/** Up the right wall and down the left, by turns. */
function onWall({ sizeMm }: SectionSubject, cut: Cut, index: number, count: number): PlacedAnimal {
  const isRight = index % 2 === 0;
  const { y } = surfacePoint(cut, isRight ? 1 : 0);
  const up = y + (cut.container.heightMm - y) * ((index + 1) / (count + 1));
  const { leftMm, rightMm } = cut.edges(up);
  return { at: { x: isRight ? rightMm : leftMm, y: up }, angleDeg: isRight ? 90 : -90, hangs: false, sizeMm };
}

const alongPiece = (pieces: Piece[], share: number, otherwise: Point): Point => {
  const piece = pieces.find(({ kind }) => STOOD_ON.has(kind));
  if (!piece) return { ...otherwise, x: otherwise.x * 2 * share };
  return {
    x: piece.foot.x + (piece.top.x - piece.foot.x) * share,
    y: piece.foot.y + (piece.top.y - piece.foot.y) * share,
  };
};

function placeOne(subject: SectionSubject, cut: Cut, pieces: Piece[], nest: NestDrawing | null): PlacedAnimal {
  const { sizeMm, lives } = subject;
  const { heightMm } = cut.container;
  const standing = (at: Point): PlacedAnimal => ({ at, angleDeg: 0, hangs: false, sizeMm });
  if (nest && nest.chambers.length > 0) return inChamber(subject, nest, 0);
  switch (lives) {
    case 'soil': {
      const { y } = surfacePoint(cut, 0.5);
      return standing({ x: cut.boxMm * 0.5, y: y * 0.4 });
    }
    case 'bark':
    case 'branch': {
      const piece = pieces.find(({ kind }) => STOOD_ON.has(kind));
      if (!piece) break;
      const at = alongPiece([piece], 0.55, piece.foot);
      const rise = piece.top.y - piece.foot.y;
      if (rise === 0) return { at, angleDeg: 0, hangs: true, sizeMm };
      return { at, angleDeg: (Math.atan2(rise, piece.top.x - piece.foot.x) * 180) / Math.PI, hangs: false, sizeMm };
    }
    case 'roof':
      return { at: { x: cut.boxMm / 2, y: heightMm }, angleDeg: 0, hangs: true, sizeMm };
    case 'wall':
      return onWall(subject, cut, 0, 1);
    case 'ground':
    case 'nest':
      break;
  }
  // Before its hide; one too large for that stands in the middle.
  const besideHide = Math.max(cut.boxMm * 0.56, sizeMm / 2);
  const x = besideHide + sizeMm / 2 > cut.boxMm ? cut.boxMm / 2 : besideHide;
  return standing({ x, y: surfacePoint(cut, x / cut.boxMm).y });
}

function inChamber(subject: SectionSubject, nest: NestDrawing, index: number): PlacedAnimal {
  const chamber = nest.chambers[index % nest.chambers.length] as Rect;
  const round = Math.floor(index / nest.chambers.length);
  const x = chamber.x + chamber.widthMm * (0.3 + 0.25 * (round % 3));
  return { at: { x, y: chamber.y + 0.5 }, angleDeg: 0, hangs: false, sizeMm: subject.sizeMm };
}

/** Chambers in rows inside the box as far as they go, the outworld over it, the tube between. */
function drawNest(
  { chambers, tubeBoreMm, outworld }: NonNullable<HomeState['nest']>,
  boxMm: number,
  heightMm: number,
): NestDrawing {
  const wall = Math.min(8, boxMm * 0.04);
  const rects: Rect[] = [];
  let [x, y, rowHeight] = [wall, wall, 0];
  for (const room of chambers) {
    if (x + room.lengthMm > boxMm - wall && rects.length > 0) [x, y, rowHeight] = [wall, y + rowHeight + wall, 0];
    rects.push({ x, y, widthMm: room.lengthMm, heightMm: room.heightMm });
    x += room.lengthMm + wall;
    rowHeight = Math.max(rowHeight, room.heightMm);
  }
  const apart = Math.max(24, heightMm * 0.4);
  const over = outworld && { x: 0, y: heightMm + apart, widthMm: outworld.lengthMm, heightMm: outworld.heightMm };
  const bore = tubeBoreMm ?? 0;
  const tubeX = Math.min(boxMm, outworld?.lengthMm ?? boxMm) * 0.8;
  return {
    chambers: rects,
    outworld: over ?? null,
    tube: over && bore > 0 ? { from: { x: tubeX, y: heightMm }, to: { x: tubeX, y: over.y }, boreMm: bore } : null,
  };
}

/** A row of openings becomes one notch in a wall that is cut, or a row of them in the wall behind, the lid or floor. */
function ventsInCut(vent: Vent, { container, boxMm, edges }: Cut): SectionVent[] {
  const acrossMm = vent.diameterMm ?? vent.widthMm ?? 0;
  const tallMm = vent.diameterMm ?? vent.heightMm ?? 0;
  const look = { acrossMm, tallMm, round: vent.shape === 'hole', meshed: vent.meshApertureMm !== undefined };
  const y = vent.centreHeightMm ?? container.heightMm * 0.75;
  const side = vent.side === 'lid' || vent.side === 'floor' ? vent.side : wallAlongLength(container, vent.side);
  switch (side) {
    case 'left':
      return [{ ...look, where: 'left', x: edges(y).leftMm, y }];
    case 'right':
      return [{ ...look, where: 'right', x: edges(y).rightMm, y }];
    default: {
      const where = side === 'lid' || side === 'floor' ? side : 'behind';
      const at = where === 'lid' ? container.heightMm : where === 'floor' ? 0 : y;
      const shown = Math.min(vent.count, 40);
      return Array.from({ length: shown }, (_, index) => ({
        ...look,
        where,
        x: ((index + 0.5) / shown) * boxMm,
        y: at,
      }));
    }
  }
}
