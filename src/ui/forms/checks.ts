import { formatLength, parseLength, type LengthUnit } from '@/core/measure/length';

/** A check for a length typed in the keeper's unit that has to lie between two limits (mm). */
export function lengthCheck(unit: LengthUnit, minMm: number, maxMm: number) {
  return (text: string): string | true => {
    const parsed = parseLength(text, unit);
    if (!parsed.ok) return parsed.problem;
    if (parsed.mm >= minMm && parsed.mm <= maxMm) return true;
    return `Must be from ${formatLength(minMm, unit)} to ${formatLength(maxMm, unit)}.`;
  };
}

/** The length a field holds, in mm; undefined while it holds none. */
export function lengthIn(text: string, unit: LengthUnit): number | undefined {
  const parsed = parseLength(text, unit);
  return parsed.ok ? parsed.mm : undefined;
}
