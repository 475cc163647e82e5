import fs from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { shippedKnowledge } from '@/contract/shipped';
import { WEIGHTS_FILE, weightRow } from '@/server/weights';
import { usualCases } from '@/core/ground/cases';
import { numbersOf } from '@/core/ground/numbers';
import { Weighing } from '@/core/ground/sensitivity';
import { demoCases } from '../demo/cases';

/**
 * Weighs every number of `data/` by the answers that it moves, and writes them down, heaviest first: `npm run weigh`. It takes minutes,
 * and is to be run when numbers or engines have changed.
 */
const weighing = new Weighing(shippedKnowledge, [...usualCases(shippedKnowledge), ...demoCases()]);
const numbers = numbersOf(shippedKnowledge).filter(({ isCount }) => !isCount);
const rows = numbers.map((number, index) => {
  if (index % 500 === 0) console.log(`${index} of ${numbers.length} numbers`);
  return { id: number.id, ...weighing.of(number) };
});
rows.sort((a, b) => b.weight - a.weight);
const heavy = rows.filter(({ weight }) => weight >= 0.01);
fs.writeFileSync(path.resolve(WEIGHTS_FILE), `${Papa.unparse(heavy.map(weightRow), { newline: '\n' })}\n`);
console.log(`${heavy.length} of ${rows.length} numbers move some of ${weighing.answersInAll} answers.`);
