import type { SectionPlan } from '@/core/housing/section';

/** Room round the box for the wall, the fill mark and the dimensions. px */
const MARGIN = { left: 58, right: 26, top: 18, bottom: 44 };
/** Where two drawings share a phone: no scale bar, no fill mark. */
const TIGHT = { left: 12, right: 12, top: 18, bottom: 44 };
const MAX_HEIGHT = 380;

/** One factor from millimetres to pixels, and where the inside of the box lies in the picture. */
export interface Scale {
  x: (mm: number) => number;
  y: (mm: number) => number;
  pxPerMm: number;
  widthPx: number;
  heightPx: number;
  isTight: boolean;
}

/** The largest factor at which a section fits into a width. px/mm */
export function pxPerMmFor(
  plan: Pick<SectionPlan, 'widthMm' | 'fullHeightMm'>,
  widthPx: number,
  isTight = false,
): number {
  const margin = isTight ? TIGHT : MARGIN;
  return Math.min(
    (widthPx - margin.left - margin.right) / plan.widthMm,
    (MAX_HEIGHT - margin.top - margin.bottom) / plan.fullHeightMm,
  );
}

/** The scale of a drawing of its own, or at a factor it shares with another. */
export function scaleOf(plan: SectionPlan, widthPx: number, sharedPxPerMm?: number): Scale {
  const isTight = sharedPxPerMm !== undefined;
  const margin = isTight ? TIGHT : MARGIN;
  const pxPerMm = sharedPxPerMm ?? pxPerMmFor(plan, widthPx);
  const left = margin.left + (widthPx - margin.left - margin.right - plan.widthMm * pxPerMm) / 2;
  return {
    x: (mm) => left + mm * pxPerMm,
    y: (mm) => margin.top + (plan.fullHeightMm - mm) * pxPerMm,
    pxPerMm,
    widthPx,
    heightPx: plan.fullHeightMm * pxPerMm + margin.top + margin.bottom,
    isTight,
  };
}
