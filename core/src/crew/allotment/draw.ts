import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import {
  type Allotted,
  type Application,
  type HouseRule,
  type OfferedPlot,
  preferred,
} from './application.ts';

/** The record of a draw: all that anybody needs to do it again. */
export interface DrawRecord {
  /** what the record is and how the draw goes, in words that stand with it */
  form: 'unity-acre/draw/1';
  seed: string;
  rule: HouseRule;
  plots: { id: string; name: string }[];
  entrants: {
    id: string;
    name: string;
    returning: boolean;
    /** the plots they take, best first */
    takes: string[];
    /** sha256 of "seed|id", hexadecimal: the lower goes first */
    ticket: string;
  }[];
  /** in the order of the draw */
  steps: { entrant: string; plot: string | null; left: number }[];
}

/** The ticket of an entrant. The same for the same seed, on any machine: `printf '%s' 'seed|id' | sha256sum`. */
export const ticketOf = (seed: string, id: string): string =>
  bytesToHex(sha256(utf8ToBytes(`${seed}|${id}`)));

/**
 * A public draw, in the order of tickets: each in turn takes the plot they like best of those left. Nobody gains by wishing
 * for other than what they want.
 * Source: random serial dictatorship (Abdulkadiroğlu & Sönmez, Econometrica 66, 1998).
 * @param seed published before the draw, such as the numbers of a lottery of that evening
 */
export function draw(
  seed: string,
  rule: HouseRule,
  applications: readonly Application[],
  plots: readonly OfferedPlot[],
): DrawRecord {
  const entrants = applications
    .map((application) => ({
      id: application.id,
      name: application.name,
      returning: application.returning,
      takes: preferred(application, plots).map(({ id }) => id),
      ticket: ticketOf(seed, application.id),
    }))
    .sort(
      (a, b) =>
        (rule === 'returningFirst' ? Number(b.returning) - Number(a.returning) : 0) ||
        (a.ticket < b.ticket ? -1 : 1),
    );
  const left = new Set(plots.map(({ id }) => id));
  const steps = entrants.map(({ id, takes }) => {
    const plot = takes.find((one) => left.has(one)) ?? null;
    if (plot) left.delete(plot);
    return { entrant: id, plot, left: left.size };
  });
  return {
    form: 'unity-acre/draw/1',
    seed,
    rule,
    plots: plots.map(({ id, name }) => ({ id, name })),
    entrants,
    steps,
  };
}

export const drawn = ({ steps }: DrawRecord): Allotted =>
  new Map(steps.map(({ entrant, plot }) => [entrant, plot]));
