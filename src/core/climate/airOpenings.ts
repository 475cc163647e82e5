import {
  sideAreaMm2,
  wallWidthMm,
  WALL_SIDES,
  type Container,
  type LidFit,
  type Vent,
  type VentSide,
} from '@/core/housing/container';
import { agm } from './ellipse';
import { holeResistance, inSeries, manyOf, meshResistance, seamResistance, type Resistance } from './resistance';
import { openAreaMm2, USUAL_MESH_OPEN, USUAL_VENTED_LID } from '@/core/housing/openings';

/** An opening as the air meets it. `seam` is what a closed lid still lets through all round. */
export interface AirOpening {
  /** Its place in the container's list of vents; null for what is not listed there. */
  index: number | null;
  side: VentSide | 'seam';
  count: number;
  /** Free area of all of them together, wire not counted. m2 */
  openAreaM2: number;
  /** Height of the middle of the opening over the inside floor, and how far it reaches from bottom to top. m */
  heightM: number;
  tallM: number;
  /** Conductance for vapour divided by the diffusivity: area over length, ends included. m */
  shapeM: number;
  /** What all of them together hinder air that flows. */
  resistance: Resistance;
  /** What one of them is wide, wire counted in, and how deep the way through it is, ends included. m */
  radiusM: number;
  pathM: number;
}

/** Mesh whose weave nobody measured: common insect mesh, from memory. mm */
const USUAL_MESH_APERTURE_MM = 1;
/** Where nobody said how high an opening sits, it is taken to be this share up the wall; from memory. */
const USUAL_HEIGHT = 0.75;
/** The holes of a lid said to be vented whose openings are not listed. mm, from memory */
const USUAL_LID_HOLE_MM = 3;
/** Length of the way out between a lid and its rim. mm, from memory */
const SEAM_PATH_MM = 10;

/** How thick a wall is where nobody measured it. mm, from memory */
export function usualWallMm({ walls }: Container): number {
  return { plastic: 1.5, acrylic: 3, glass: 4, 'glass-silicone': 4, wood: 8, plaster: 10, mesh: 0.5 }[
    walls ?? 'plastic'
  ];
}

/**
 * How much one opening hinders vapour, divided by 1 / diffusivity: the way through the wall and both ends. 1/m
 * For a round hole of diameter d that is (t + pi d/4) / (pi d^2/4).
 * @source Brown and Escombe (1900), Phil. Trans. R. Soc. B 193, 223-291; the ends of a slot by Rayleigh's conductivity
 * of an ellipse of equal area and proportions, Theory of Sound, vol. 2, section 306
 */
function singleResistance(vent: Vent, wallM: number): number {
  const [a, b] = halfAxesM(vent);
  const area = Math.PI * a * b;
  // The mean is half the conductivity of an elliptic opening.
  return (wallM + meshM(vent)) / area + 1 / (2 * agm(a, b));
}

/** Half-axes of the circle or ellipse that stands for an opening. m */
function halfAxesM({ diameterMm, widthMm = 0, heightMm = 0 }: Vent): [number, number] {
  if (diameterMm !== undefined) return [diameterMm / 2000, diameterMm / 2000];
  const scale = 1 / (1000 * Math.sqrt(Math.PI));
  return [widthMm * scale, heightMm * scale];
}

/** A mesh as the length of open air that hinders as much: its wire, and the ends of its meshes. m */
function meshM({ meshApertureMm, meshOpenFraction }: Vent): number {
  if (meshApertureMm === undefined && meshOpenFraction === undefined) return 0;
  const open = meshOpenFraction ?? USUAL_MESH_OPEN;
  const aperture = (meshApertureMm ?? USUAL_MESH_APERTURE_MM) / 1000;
  const wire = wireM(aperture, open);
  // The ends of neighbouring meshes overlap, and are gone when there is no wire left.
  return (wire + (Math.PI / 4) * aperture * (1 - Math.sqrt(open))) / open;
}

/** Wire of a square weave by its meshes and its open share. m */
const wireM = (apertureM: number, open: number): number => apertureM * (1 / Math.sqrt(open) - 1);

/** What a group of equal openings hinders air that flows. */
function ventResistance(vent: Vent, wallM: number): Resistance {
  const [a, b] = halfAxesM(vent);
  const hole = holeResistance(a, b, wallM);
  const { meshApertureMm, meshOpenFraction } = vent;
  if (meshApertureMm === undefined && meshOpenFraction === undefined) return manyOf(hole, vent.count);
  const open = meshOpenFraction ?? USUAL_MESH_OPEN;
  const wire = wireM((meshApertureMm ?? USUAL_MESH_APERTURE_MM) / 1000, open);
  return manyOf(inSeries(hole, meshResistance(Math.PI * a * b, open, wire)), vent.count);
}

/**
 * What openings side by side take from one another: every other one adds the concentration of a point source on either
 * side of the wall. Mean over the group of sum(1 / distance) / pi. 1/m
 */
function crowding(vent: Vent, spanMm: number, spacingMm: number | undefined): number {
  const { count } = vent;
  if (count < 2) return 0;
  const across = vent.diameterMm ?? Math.max(vent.widthMm ?? 0, vent.heightMm ?? 0);
  // One row along the wall where there is room for it, else as many rows as it takes.
  const closest = 1.5 * across;
  const perRow = spacingMm === undefined ? Math.max(1, Math.min(count, Math.floor(spanMm / closest))) : count;
  const columns = spacingMm === undefined ? perRow : Math.ceil(Math.sqrt(count));
  const rows = Math.ceil(count / columns);
  const pitchM = (spacingMm ?? (rows > 1 ? closest : spanMm / columns)) / 1000;
  let sum = 0;
  for (let dx = 0; dx < columns; dx += 1) {
    for (let dy = 0; dy < rows; dy += 1) {
      if (dx === 0 && dy === 0) continue;
      const pairs = (columns - dx) * (rows - dy) * (dx > 0 && dy > 0 ? 4 : 2);
      sum += pairs / Math.hypot(dx, dy);
    }
  }
  // A last row that is not full counts for what is in it.
  const places = columns * rows;
  return ((sum / places) * (count - 1)) / (places - 1) / pitchM / Math.PI;
}

/** The conductance of a group of equal openings, divided by the diffusivity. m */
export function ventShapeM(vent: Vent, wallMm: number, spanMm: number, spacingMm?: number): number {
  return vent.count / (singleResistance(vent, wallMm / 1000) + crowding(vent, spanMm, spacingMm));
}

export interface OpeningSettings {
  /** Thickness of the walls; usual for what they are made of if left out. mm */
  wallThicknessMm?: number | undefined;
  /** Gap between a solid lid and its rim; by the make of the lid if left out. mm */
  seamGapMm?: number | undefined;
}

/** Gap between a lid and its rim by its make; where nobody said, it clicks shut. mm, from memory */
const SEAM_GAP_MM: Record<LidFit, number> = { gasket: 0, click: 0.1, loose: 0.5 };

/**
 * Every way that air has into a home: its vents, what its lid and walls are open by themselves, and the seam of a lid.
 * Openings under the soil and on covered sides are closed.
 */
export function airOpenings(container: Container, soilMm: number, settings: OpeningSettings = {}): AirOpening[] {
  const wallMm = settings.wallThicknessMm ?? usualWallMm(container);
  const listed = container.vents.map((vent, index) => ({ vent, index: index as number | null }));
  const openings = [...listed, ...unlisted(container).map((vent) => ({ vent, index: null }))].flatMap(
    ({ vent, index }) => {
      const opening = asMet(container, vent, index, wallMm);
      const buried = vent.side !== 'lid' && opening.heightM + opening.tallM / 2 <= soilMm / 1000;
      return buried || (container.coveredSides ?? []).includes(vent.side) ? [] : [opening];
    },
  );
  const gapMm = settings.seamGapMm ?? SEAM_GAP_MM[container.lidFit ?? 'click'];
  const hasSeam = container.lid !== 'mesh' && container.opens !== 'zip' && gapMm > 0;
  return hasSeam ? [...openings, seam(container, gapMm)] : openings;
}

function asMet(container: Container, vent: Vent, index: number | null, wallMm: number): AirOpening {
  const tallMm = vent.side === 'lid' || vent.side === 'floor' ? 0 : (vent.diameterMm ?? vent.heightMm ?? 0);
  const heightMm = { lid: container.heightMm, floor: 0 }[vent.side as 'lid' | 'floor'] ?? vent.centreHeightMm;
  const radiusM = Math.sqrt(halfAxesM(vent).reduce((a, b) => a * b));
  return {
    index,
    side: vent.side,
    count: vent.count,
    openAreaM2: openAreaMm2(vent) / 1e6,
    heightM: (heightMm ?? USUAL_HEIGHT * container.heightMm) / 1000,
    tallM: tallMm / 1000,
    shapeM: ventShapeM(vent, wallMm, wallWidthMm(container, vent.side)),
    resistance: ventResistance(vent, wallMm / 1000),
    radiusM,
    pathM: wallMm / 1000 + (Math.PI / 2) * radiusM,
  };
}

/** Mesh walls, and a lid that is mesh or vented without a list of its openings. */
function unlisted(container: Container): Vent[] {
  const { lid, walls, heightMm, vents } = container;
  const openings: Vent[] = [];
  if (walls === 'mesh') {
    for (const side of WALL_SIDES) {
      const widthMm = sideAreaMm2(container, side) / heightMm;
      const centreHeightMm = heightMm / 2;
      openings.push({ side, shape: 'panel', count: 1, widthMm, heightMm, centreHeightMm, ...USUAL_MESH });
    }
  }
  if (lid === 'solid' || vents.some((vent) => vent.side === 'lid')) return openings;
  const lidMm2 = sideAreaMm2(container, 'lid');
  if (lid === 'mesh') {
    const side = Math.sqrt(lidMm2);
    return [...openings, { side: 'lid', shape: 'panel', count: 1, widthMm: side, heightMm: side, ...USUAL_MESH }];
  }
  const count = Math.max(1, Math.round((USUAL_VENTED_LID * lidMm2) / ((Math.PI / 4) * USUAL_LID_HOLE_MM ** 2)));
  return [...openings, { side: 'lid', shape: 'hole', count, diameterMm: USUAL_LID_HOLE_MM }];
}

const USUAL_MESH = { meshOpenFraction: USUAL_MESH_OPEN, meshApertureMm: USUAL_MESH_APERTURE_MM };

/** The gap all round a lid that is shut. */
function seam(container: Container, gapMm: number): AirOpening {
  const roundMm =
    container.shape === 'box'
      ? 2 * ((container.topLengthMm ?? container.lengthMm) + (container.topWidthMm ?? container.widthMm))
      : Math.PI * (container.topDiameterMm ?? container.diameterMm);
  const areaM2 = (roundMm * gapMm) / 1e6;
  return {
    index: null,
    side: 'seam',
    count: 1,
    openAreaM2: areaM2,
    heightM: container.heightMm / 1000,
    tallM: 0,
    shapeM: areaM2 / (SEAM_PATH_MM / 1000),
    resistance: seamResistance(gapMm / 1000, roundMm / 1000, SEAM_PATH_MM / 1000),
    radiusM: gapMm / 2000,
    pathM: SEAM_PATH_MM / 1000,
  };
}
