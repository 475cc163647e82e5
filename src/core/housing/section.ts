import type { CareProfile, Stage } from '@/core/profiles/profile';
import { floorLongSideMm, type Container, type Vent } from './container';

/** A point of the cut, in mm: x from the left inside wall, y upward from the inside floor. */
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

/** A leaning piece of bark: where its foot stands and where its top leans. */
export interface Bark {
  foot: Point;
  top: Point;
}

/** Everything a true-to-scale cut through a home shows, in mm; pixels are the drawing's business. */
export interface SectionPlan {
  widthMm: number;
  heightMm: number;
  depthMm: number;
  gapMm: number;
  vents: SectionVent[];
  /** `even` where all the soil is kept damp, `gradient` where only one end is. */
  damp: 'even' | 'gradient';
  bark: Bark | null;
  dish: { leftMm: number; widthMm: number } | null;
  /** The feet of the animal stand on the line through `at` at this angle; its span is drawn as measured. */
  animal: { at: Point; spanMm: number; angleDeg: number } | null;
  scaleBarMm: number;
}

export interface SectionSubject {
  stage: Stage;
  legSpanMm: number;
  lives: CareProfile['lives'];
}

/** Largest of the numbers 1, 2, 5 times a power of ten that is at most `mm`; the length of a scale bar. */
export function scaleBarMm(mm: number): number {
  const power = 10 ** Math.floor(Math.log10(mm));
  const step = [5, 2, 1].find((each) => each * power <= mm) ?? 1;
  return step * power;
}

/**
 * Lays out the cut along the longer side of a home. Furniture is placed by the habits of the kind: a flat bark with
 * the animal before it on the ground, or a bark leaned up the box with the animal on it. Lengths in mm.
 */
export function sectionPlan(
  container: Container,
  substrateDepthMm: number,
  subject: SectionSubject | null,
): SectionPlan {
  const widthMm = floorLongSideMm(container);
  const { heightMm } = container;
  const gapMm = heightMm - substrateDepthMm;
  const bark = subject && barkFor(subject, widthMm, substrateDepthMm, gapMm);
  return {
    widthMm,
    heightMm,
    depthMm: substrateDepthMm,
    gapMm,
    vents: container.vents.flatMap((vent) => ventsInCut(vent, container)),
    damp: subject?.stage === 'spiderling' ? 'even' : 'gradient',
    bark,
    dish: subject && subject.stage !== 'spiderling' ? dishFor(subject, widthMm) : null,
    animal: subject && placeAnimal(subject, widthMm, substrateDepthMm, bark),
    scaleBarMm: scaleBarMm(widthMm / 3),
  };
}

function barkFor(subject: SectionSubject, widthMm: number, depthMm: number, gapMm: number): Bark {
  if (subject.lives === 'ground') {
    const reach = Math.min(subject.legSpanMm * 0.8, widthMm * 0.36);
    return { foot: { x: widthMm * 0.06, y: depthMm }, top: { x: widthMm * 0.06 + reach, y: depthMm } };
  }
  // A little shorter than the box, leaned from one foot corner towards the opposite wall.
  return { foot: { x: widthMm * 0.22, y: depthMm }, top: { x: widthMm * 0.78, y: depthMm + gapMm * 0.88 } };
}

function dishFor(subject: SectionSubject, widthMm: number) {
  const dishMm = Math.min(subject.legSpanMm * 0.4, widthMm * 0.16);
  return { leftMm: widthMm - dishMm - widthMm * 0.04, widthMm: dishMm };
}

function placeAnimal(subject: SectionSubject, widthMm: number, depthMm: number, bark: Bark | null) {
  const spanMm = subject.legSpanMm;
  if (subject.lives === 'ground' || !bark) {
    // Before its bark; one too large for that stands in the middle.
    const besideBark = Math.max(widthMm * 0.56, spanMm / 2);
    const x = besideBark + spanMm / 2 > widthMm ? widthMm / 2 : besideBark;
    return { at: { x, y: depthMm }, spanMm, angleDeg: 0 };
  }
  const middle = { x: (bark.foot.x + bark.top.x) / 2, y: (bark.foot.y + bark.top.y) / 2 };
  const angleDeg = (Math.atan2(bark.top.y - bark.foot.y, bark.top.x - bark.foot.x) * 180) / Math.PI;
  return { at: middle, spanMm, angleDeg };
}

/** A row of openings becomes one notch in a wall that is cut, or a row of them in the wall behind, the lid or floor. */
function ventsInCut(vent: Vent, container: Container): SectionVent[] {
  const widthMm = floorLongSideMm(container);
  const acrossMm = vent.diameterMm ?? vent.widthMm ?? 0;
  const tallMm = vent.diameterMm ?? vent.heightMm ?? 0;
  const look = { acrossMm, tallMm, round: vent.shape === 'hole', meshed: vent.meshApertureMm !== undefined };
  const y = vent.centreHeightMm ?? container.heightMm * 0.75;
  switch (vent.side) {
    case 'left':
      return [{ ...look, where: 'left', x: 0, y }];
    case 'right':
      return [{ ...look, where: 'right', x: widthMm, y }];
    default: {
      const row = Array.from(
        { length: Math.min(vent.count, 40) },
        (_, index) => ((index + 0.5) / vent.count) * widthMm,
      );
      const where = vent.side === 'lid' || vent.side === 'floor' ? vent.side : 'behind';
      const at = where === 'lid' ? container.heightMm : where === 'floor' ? 0 : y;
      return row.map((x) => ({ ...look, where, x, y: at }));
    }
  }
}
