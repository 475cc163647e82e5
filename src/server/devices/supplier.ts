import fs from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import type { PriceLine } from '@/core/feeding/supply';
import { Refusal, type FieldProblem } from '@/core/refusal';
import { ROOT } from '../root';

/** Whoever sells: a name, and what a pack costs and how long it takes. One that asks over a line would look the same. */
export interface Supplier {
  name: string;
  priceList(): Promise<{ csv: string; lines: PriceLine[] }>;
}

const COLUMNS = ['item', 'pack_size', 'pack_price', 'lead_days', 'handling'] as const;

/** The stand-in that ships with the program: its price list is a file. */
export const FEEDER_POST = 'The feeder post (simulated)';

/** A supplier whose price list is a text; `null` for the one that ships. */
export function listSupplier(name: string, csv: string | null, items: ReadonlySet<string>): Supplier {
  return {
    name,
    priceList: async () => {
      const text = csv ?? (await fs.promises.readFile(path.join(ROOT, 'data/suppliers/feeder-post.csv'), 'utf8'));
      return { csv: text, lines: priceLinesOf(text, items) };
    },
  };
}

/**
 * Reads a price list line by line.
 * @param items what can be sold at all
 * @throws Refusal naming every line and column that cannot be
 */
export function priceLinesOf(csv: string, items: ReadonlySet<string>): PriceLine[] {
  const { data, meta } = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: 'greedy' });
  const missing = COLUMNS.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) {
    throw new Refusal([
      {
        path: 'csv',
        message: `The first line must name the columns ${COLUMNS.join(', ')}; missing: ${missing.join(', ')}.`,
      },
    ]);
  }
  const problems: FieldProblem[] = [];
  const seen = new Set<string>();
  const lines = data.map((row, index): PriceLine => {
    const at = `csv line ${index + 2}`;
    const number = (column: (typeof COLUMNS)[number], least: number, isWhole = false) => {
      const text = (row[column] ?? '').trim();
      const value = Number(text);
      const isRight = text !== '' && Number.isFinite(value) && value >= least && (!isWhole || Number.isInteger(value));
      if (!isRight) {
        const right = `a${isWhole ? ' whole' : ''} number of at least ${least}`;
        problems.push({ path: `${at}, ${column}`, message: `Must be ${right}; got “${text}”.` });
      }
      return value;
    };
    const item = (row.item ?? '').trim();
    if (!items.has(item)) problems.push({ path: `${at}, item`, message: `Nothing is called “${item}” here.` });
    const packSize = number('pack_size', 0.001);
    const pack = `${item} in packs of ${packSize}`;
    if (seen.has(pack)) problems.push({ path: `${at}, item`, message: `“${pack}” is listed twice.` });
    seen.add(pack);
    return {
      item,
      packSize,
      packPrice: number('pack_price', 0),
      leadDays: number('lead_days', 0, true),
      handling: number('handling', 0),
    };
  });
  if (problems.length > 0) throw new Refusal(problems.slice(0, 20));
  return lines;
}
