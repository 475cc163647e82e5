import fs from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { KEEPER_QUESTIONS, type KeeperQuestion } from '@/core/ground/answers';
import { ROOT } from './root';

/** Where it is written down how much hangs on each number (`npm run weigh`). */
export const WEIGHTS_FILE = path.join(ROOT, 'data', 'weights.csv');

/** How much hangs on a number, in all and by what is asked. */
export interface NumberWeight {
  id: string;
  weight: number;
  byQuestion: Partial<Record<KeeperQuestion, number>>;
}

const fine = (value: number) => Math.round(100 * value) / 100;

/** A number's weight as a row of the file. */
export const weightRow = ({ id, weight, byQuestion }: NumberWeight) => ({
  number: id,
  weight: fine(weight),
  ...Object.fromEntries(KEEPER_QUESTIONS.map((each) => [each, fine(byQuestion[each] ?? 0) || ''])),
});

const amount = z.coerce.number().nonnegative();
const row = z.object({ number: z.string().min(1), weight: amount }).catchall(amount);

/** All that were written down, heaviest first. @throws ZodError for a file that is not one of weights */
export function readWeights(): NumberWeight[] {
  const { data } = Papa.parse(fs.readFileSync(WEIGHTS_FILE, 'utf8'), { header: true, skipEmptyLines: true });
  return data.map((each) => {
    const { number: id, weight, ...rest } = row.parse(each);
    const asked = KEEPER_QUESTIONS.filter((question) => (rest[question] ?? 0) > 0);
    return { id, weight, byQuestion: Object.fromEntries(asked.map((question) => [question, rest[question]])) };
  });
}
