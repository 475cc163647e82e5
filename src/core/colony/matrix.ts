import { Refusal } from '@/core/refusal';

export interface MatrixProjection {
  /** Growth in one step, once the stages stand in their lasting shares. */
  lambda: number;
  /** These shares; they sum to 1. */
  stableStage: number[];
  /** The stages step by step, the beginning first. */
  series: number[][];
}

const MOST_ROUNDS = 20_000;
const CLOSE_ENOUGH = 1e-13;

/**
 * Projects a population by its stage matrix: column by column what one of a stage becomes in a step, and has of young.
 * The growth is the largest eigenvalue, found by powers of the matrix with one added to its diagonal: so also those that
 * breed at a single age, whose shares would else swing for ever, come to rest.
 * @param matrix square, no entry under 0
 * @param initial as many as it has stages, none under 0
 * @param steps 0 or more
 * @throws Refusal naming the row that has not as many entries as there are stages, and what grows beyond counting
 * @source Caswell, H. (2001), Matrix Population Models, 2nd ed.
 */
export function projectMatrix(
  matrix: readonly (readonly number[])[],
  initial: readonly number[],
  steps: number,
): MatrixProjection {
  const size = initial.length;
  if (matrix.length !== size) {
    throw new Refusal([
      { path: 'matrix', message: `Must have ${size} rows, one for each stage; got ${matrix.length}.` },
    ]);
  }
  matrix.forEach((row, index) => {
    if (row.length === size) return;
    const message = `Must have ${size} entries, one for each stage; got ${row.length}.`;
    throw new Refusal([{ path: `matrix.${index}`, message }]);
  });
  const times = (vector: readonly number[]) =>
    matrix.map((row) => row.reduce((sum, entry, column) => sum + entry * (vector[column] ?? 0), 0));
  const series = [[...initial]];
  for (let step = 0; step < steps; step += 1) {
    const next = times(series[step] ?? []);
    if (!next.every(Number.isFinite)) {
      throw new Refusal([
        { path: 'steps', message: `Must be at most ${step}: after that there are more than can be counted.` },
      ]);
    }
    series.push(next);
  }
  let shares = matrix.map(() => 1 / size);
  let lambda = 0;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const next = times(shares).map((value, index) => value + (shares[index] ?? 0));
    const total = next.reduce((sum, value) => sum + value, 0);
    if (!Number.isFinite(total)) {
      throw new Refusal([
        { path: 'matrix', message: 'Must hold smaller numbers: one becomes more than can be counted.' },
      ]);
    }
    const moved = next.reduce(
      (most, value, index) => Math.max(most, Math.abs(value / total - (shares[index] ?? 0))),
      0,
    );
    shares = next.map((value) => value / total);
    lambda = total - 1;
    if (moved < CLOSE_ENOUGH) break;
  }
  return { lambda, stableStage: shares, series };
}
