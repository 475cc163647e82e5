/** The part of ml-naivebayes that the tests ask. */
declare module 'ml-naivebayes' {
  import type { Matrix } from 'ml-matrix';

  export class MultinomialNB {
    constructor(model: { conditionalProbability: Matrix; priorProbability: Matrix });
    predict(dataset: number[][]): number[];
  }
}
