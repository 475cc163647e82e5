import type { Body } from '@/core/profiles/animal';
import {
  BODY_MEASURES,
  type CareProfile,
  type FitRule,
  type Limit,
  type Quantity,
  type Yardstick,
} from '@/core/profiles/profile';
import { INDEX, VARYING, type HomeFacts } from './quantities';

export interface Context {
  body: Body;
  /** A measure that nobody took may be so many times as large in the slender ones of a kind, by its range. */
  narrowTimes: { [Name in Yardstick]?: number };
  youngWidthMm: number | undefined;
  headCount: number | undefined;
  perHeadMl: number | undefined;
}

export function narrowTimes({ proportions, young }: CareProfile, body: Body): Context['narrowTimes'] {
  const times: Context['narrowTimes'] = {};
  for (const name of BODY_MEASURES) {
    const share = proportions[name];
    if (share?.range && body[name]?.estimated) times[name] = share.range.min / share.value;
  }
  const { value, range } = young?.widthMm ?? {};
  if (value !== undefined && range) times.youngWidthMm = range.min / value;
  return times;
}

/** A limit as `value` + `long` x the longer + `short` x the shorter side of the floor. `value` is NaN where there is none. */
export interface BoundLimit {
  value: number;
  long: number;
  short: number;
}

/** A rule with its numbers worked out for one animal. All are of one shape: rules as they come from JSON are not, and slow to read. */
export interface PreparedRule {
  rule: FitRule;
  quantity: Quantity;
  softMin: boolean;
  softMax: boolean;
  softOutOfReach: boolean;
  maxExcluded: boolean;
  /** Place of its quantity among those that are fixed for a home; -1 where the value depends on depth or heads. */
  fixedAt: number;
  min: BoundLimit;
  watchMin: BoundLimit;
  max: BoundLimit;
  watchMax: BoundLimit;
  bound: 'min' | 'max';
  isAboutDepth: boolean;
}

const DEPTH_QUANTITIES = new Set(['substrateDepthMm', 'surfaceToLidMm', 'perchDropMm', 'heightMm']);

/** "Taller than wide" is about the shape of the box, with soil or without. */
const isAboutShape = ({ quantity, min }: FitRule) =>
  quantity === 'heightMm' && (min?.of === 'floorLongSideMm' || min?.of === 'floorShortSideMm');

/**
 * What must not be as wide as an animal that nobody measured there: up to the slender ones of its kind it passes, up to the usual ones
 * it is watched.
 */
function slenderLimit({ max, maxExcluded, watchMax }: FitRule, { narrowTimes: times }: Context): Limit | undefined {
  if (!max?.of || !maxExcluded || watchMax) return undefined;
  const narrow = times[max.of];
  return narrow === undefined ? undefined : { ...max, times: (max.times ?? 1) * narrow };
}

/** A hair under the limit itself, which is too much already. */
const ALMOST = 1 - 1e-6;

export function prepare(rule: FitRule, context: Context): PreparedRule {
  const bound = rule.max || isAboutShape(rule) ? 'max' : 'min';
  const slender = slenderLimit(rule, context);
  const almost = slender && { ...rule.max, times: (rule.max?.times ?? 1) * ALMOST };
  return {
    rule,
    quantity: rule.quantity,
    softMin: rule.softMin === true,
    softMax: rule.softMax === true,
    softOutOfReach: rule.softOutOfReach === true,
    maxExcluded: rule.maxExcluded === true,
    fixedAt: VARYING.has(rule.quantity) ? -1 : INDEX[rule.quantity],
    min: bind(rule.min, context),
    watchMin: bind(rule.watchMin, context),
    max: bind(slender ?? rule.max, context),
    watchMax: bind(almost ?? rule.watchMax, context),
    bound,
    isAboutDepth: DEPTH_QUANTITIES.has(rule.quantity) && (rule.quantity !== 'heightMm' || bound === 'min'),
  };
}

export function bind(limit: Limit | undefined, context: Context): BoundLimit {
  if (!limit) return { value: NaN, long: 0, short: 0 };
  const { of, times = 1, plus = 0 } = limit;
  if (of === 'floorLongSideMm') return { value: plus, long: times, short: 0 };
  if (of === 'floorShortSideMm') return { value: plus, long: 0, short: times };
  return { value: (of ? yardstick(of, context) : 0) * times + plus, long: 0, short: 0 };
}

/** A yardstick of the animal; NaN where it means nothing for this kind, so that no limit comes of it. */
export function yardstick(name: Yardstick, { body, youngWidthMm, headCount }: Context): number {
  switch (name) {
    case 'legSpanMm':
    case 'bodyLengthMm':
    case 'carapaceWidthMm':
      return body[name]?.mm ?? NaN;
    case 'bodyLengthSquaredMm2':
      return (body.bodyLengthMm?.mm ?? NaN) ** 2;
    case 'youngWidthMm':
      return youngWidthMm ?? NaN;
    case 'headCount':
      return headCount ?? 1;
    case 'floorLongSideMm':
    case 'floorShortSideMm':
      return NaN;
  }
}

export const at = (limit: BoundLimit, home: HomeFacts): number =>
  limit.value + limit.long * home.floorLongSideMm + limit.short * home.floorShortSideMm;
