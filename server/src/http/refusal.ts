import {
  type FieldError,
  fieldErrorOf,
  type Problem,
  type ProblemCode,
  problemOf,
} from '@unity-acre/contract';

/** A request that cannot be met, as a Problem. Thrown anywhere, answered in one place. */
export class Refusal extends Error {
  override name = 'Refusal';
  readonly problem: Problem;

  constructor(code: ProblemCode, more: { errors?: FieldError[]; current?: unknown } = {}) {
    super(code);
    this.problem = problemOf(code, more);
  }
}

/** A field that needs another look. @param message a code of the contract's words, with its limit after a colon */
export const invalid = (field: string, message: string): Refusal =>
  new Refusal('invalid', { errors: [fieldErrorOf(field, message)] });
