/** The units in which a keeper may read and write a length. The program itself reckons in millimetres. */
export type LengthUnit = 'mm' | 'cm' | 'in';

const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };

/** How lengths are written: as fine as they can be measured, and small ones never as 0. */
const PRECISION: Record<LengthUnit, { decimals: number; finerBelowMm: number }> = {
  mm: { decimals: 0, finerBelowMm: 10 },
  cm: { decimals: 1, finerBelowMm: 10 },
  in: { decimals: 1, finerBelowMm: 100 },
};

const SPELLINGS: Record<string, LengthUnit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
};

export type ParsedLength = { ok: true; mm: number } | { ok: false; problem: string };

/**
 * Reads a length as a keeper types it: `118`, `11.8 cm`, `4,5 in`, `4 1/2"`. A number without a unit is taken in
 * `assumed`. Anything that is not a positive length is answered with a sentence that says what would be right.
 * @returns the length in mm, unrounded.
 */
export function parseLength(text: string, assumed: LengthUnit): ParsedLength {
  const match = /^\s*(?:(-?\d+(?:[.,]\d+)?)(?=[\sa-z"]|$))?(?:\s*(\d+)\s*\/\s*(\d+))?\s*([a-z"]*)\s*$/i.exec(text);
  const [, whole, over, under, suffix] = match ?? [];
  if (!match || (whole === undefined && over === undefined)) {
    return { ok: false, problem: `Write a number, for example 118 mm, 11.8 cm or 4.6 in.` };
  }
  const unit = suffix ? SPELLINGS[suffix.toLowerCase()] : assumed;
  if (!unit) {
    return { ok: false, problem: `“${suffix}” is not a length unit here: use mm, cm or in.` };
  }
  if (under !== undefined && Number(under) === 0) return { ok: false, problem: 'A fraction cannot end in /0.' };
  const count = Number((whole ?? '0').replace(',', '.')) + (over ? Number(over) / Number(under) : 0);
  if (!(count > 0)) return { ok: false, problem: 'A length must be more than 0.' };
  return { ok: true, mm: count * MM_PER[unit] };
}

/**
 * Writes `mm` in `unit` with its unit: whole millimetres, tenths of a cm or an inch,
 * and one decimal more for what is small.
 * @example formatLength(118, 'cm') // '11.8 cm'
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  return `${formatLengthNumber(mm, unit)} ${unit}`;
}

/** Drill bits in inches come in 64ths. */
const BIT_IN = 1 / 64;

/**
 * Writes the width of a hole as the bit that drills it: whole or half millimetres as they are, inches as the widest bit in
 * 64ths that is no wider. A hole may be narrower than was worked out, never wider.
 * @param mm 0.4 or more
 * @example formatDrill(3.2, 'in') // '1/8 in'
 */
export function formatDrill(mm: number, unit: LengthUnit): string {
  if (unit !== 'in') return formatLength(mm, 'mm');
  let over = Math.max(1, Math.floor(mm / MM_PER.in / BIT_IN + 1e-9));
  let under = 1 / BIT_IN;
  while (over % 2 === 0 && under > 1) {
    over /= 2;
    under /= 2;
  }
  const whole = Math.floor(over / under);
  const rest = over % under;
  return `${[whole > 0 ? String(whole) : null, rest > 0 ? `${rest}/${under}` : null].filter((part) => part !== null).join(' ')} in`;
}

/** As `formatLength`, without the unit. */
export function formatLengthNumber(mm: number, unit: LengthUnit): string {
  const { decimals, finerBelowMm } = PRECISION[unit];
  return String(Number((mm / MM_PER[unit]).toFixed(Math.abs(mm) < finerBelowMm ? decimals + 1 : decimals)));
}
