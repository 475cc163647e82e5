import type { CareProfile, Climate, FitRule, Limit } from '@/core/profiles/profile';

const YARDSTICKS: Record<NonNullable<Limit['of']>, string> = {
  legSpanMm: 'leg span',
  bodyLengthMm: 'body length',
  carapaceWidthMm: 'carapace width',
  bodyLengthSquaredMm2: 'squares of the body length',
  youngWidthMm: 'width of the young',
  floorLongSideMm: 'longer side of the floor',
  floorShortSideMm: 'shorter side of the floor',
  headCount: 'heads',
};

export const BOUND_WORDS = {
  min: 'at least',
  watchMin: 'to be watched from',
  max: 'at most',
  watchMax: 'to be watched up to',
} as const;
export type Bound = keyof typeof BOUND_WORDS;
export const BOUNDS = Object.keys(BOUND_WORDS) as Bound[];

/** "2 x leg span", "200 mm", "1.5 x leg span + 10". */
function limitWords({ of, times = 1, plus }: Limit, unit: string): string {
  if (!of) return `${plus ?? 0}${unit}`;
  const measure = times === 1 ? YARDSTICKS[of] : `${times} x ${YARDSTICKS[of]}`;
  return plus === undefined || plus === 0 ? measure : `${measure} + ${plus}${unit}`;
}

const unitOf = (rule: FitRule) =>
  rule.quantity.endsWith('Mm') ? ' mm' : rule.quantity.endsWith('Pct') ? ' %' : rule.quantity.endsWith('L') ? ' L' : '';

/** All limits of a rule in words. */
export function ruleWords(rule: FitRule): string {
  return BOUNDS.flatMap((bound) => {
    const limit = rule[bound];
    // None of what is counted: "at most 0" reads like a slip.
    if (limit && bound === 'max' && !limit.of && limit.plus === 0) return ['none'];
    return limit ? [`${BOUND_WORDS[bound]} ${limitWords(limit, unitOf(rule))}`] : [];
  }).join(', ');
}

/** The numbers of the air and the water that a keeper may set. */
export function climateNumbers(climate: Climate): EditableNumber[] {
  const { humidityPct, temperatureC } = climate;
  return [
    { key: 'humidityPct.min', label: 'Humidity at least, %', value: humidityPct.min },
    { key: 'humidityPct.max', label: 'Humidity at most, %', value: humidityPct.max },
    { key: 'temperatureC.min', label: 'Warmth at least, C', value: temperatureC.min },
    { key: 'temperatureC.max', label: 'Warmth at most, C', value: temperatureC.max },
    { key: 'bearsHours', label: 'Bears to be outside, hours', value: climate.bearsHours.value },
    { key: 'dampWetnessMin', label: 'Damped again under, of all it holds', value: climate.dampWetnessMin.value },
    { key: 'airChangesPerHour', label: 'Changes of air at least, an hour', value: climate.airChangesPerHour.value },
  ];
}

/** The same air and water with one number set by the keeper. */
export function withClimateNumber(climate: Climate, key: string, value: number): Climate {
  const [field, bound] = key.split('.') as [keyof Climate, string | undefined];
  const basis = 'your own setting' as const;
  const before = climate[field];
  if (typeof before !== 'object' || valueAt(before, bound) === value) return climate;
  return { ...climate, [field]: { ...before, source: undefined, range: undefined, basis, [bound ?? 'value']: value } };
}

const valueAt = (fact: object, bound = 'value') => (fact as Record<string, unknown>)[bound];

/** One number of a rule that a keeper may set. */
export interface EditableNumber {
  key: string;
  label: string;
  value: number;
}

/** The numbers of a rule, each with what it is multiplied with or measured in. */
export function numbersOf(rule: FitRule): EditableNumber[] {
  return BOUNDS.flatMap((bound) => {
    const limit = rule[bound];
    if (!limit) return [];
    const { of, times = 1, plus } = limit;
    const words = BOUND_WORDS[bound];
    return of
      ? [{ key: `${bound}.times`, label: `${words}, times ${YARDSTICKS[of]}`, value: times }]
      : [{ key: `${bound}.plus`, label: `${words},${unitOf(rule) || ' number'}`, value: plus ?? 0 }];
  });
}

/** A rule with one of its numbers set anew; the rule is then the keeper's own. */
export function withNumber(rule: FitRule, key: string, value: number): FitRule {
  const [bound, part] = key.split('.') as [Bound, 'times' | 'plus'];
  const limit = rule[bound];
  if (!limit || (limit[part] ?? (part === 'times' ? 1 : 0)) === value) return rule;
  const { range: _practised, ...kept } = limit;
  const changed: FitRule = { ...rule, [bound]: { ...kept, [part]: value }, basis: 'your own setting' };
  delete changed.source;
  return changed;
}

/** Profiles under their headings, in the order in which they come. */
export function byGroup<Profile extends Pick<CareProfile, 'group'>>(profiles: readonly Profile[]) {
  const groups = new Map<string, Profile[]>();
  for (const profile of profiles) groups.set(profile.group, [...(groups.get(profile.group) ?? []), profile]);
  return [...groups].map(([group, members]) => ({ group, members }));
}
