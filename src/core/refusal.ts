/** One thing wrong with an input: the path of the field and what would be right. */
export interface FieldProblem {
  path: string;
  message: string;
}

/**
 * Thrown by the engines for an input that is well formed but cannot be computed (a stage this kind does not have, no
 * measure at all). The server answers it with 422 and the fields.
 */
export class Refusal extends Error {
  constructor(readonly fields: FieldProblem[]) {
    super(fields.map((field) => `${field.path}: ${field.message}`).join('; '));
    this.name = 'Refusal';
  }
}
