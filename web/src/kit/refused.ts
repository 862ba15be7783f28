import type { Problem } from '@unity-acre/contract';

/** A request that was refused, that never reached the garden, or that whoever sent it stopped on its way. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(
    readonly problem:
      | Pick<Problem, 'code' | 'errors' | 'current'>
      | { code: 'unreachable' | 'stopped'; errors?: never; current?: never },
  ) {
    super(problem.code);
  }
}

/** Where the words for a refusal stand, its title and its detail. */
export const refusalKey = ({ problem: { code } }: Refused) =>
  code === 'unreachable' || code === 'stopped'
    ? (`kit:${code}` as const)
    : (`problem:problem.${code}` as const);
