import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import {
  type Allotted,
  type Application,
  type HouseRule,
  keptFor,
  type OfferedPlot,
  preferred,
} from './application.ts';

/** The record of a draw: all that anybody needs to do it again. */
export interface DrawRecord {
  /** what the record is and how the draw goes, in words that stand with it */
  form: 'unity-acre/draw/2';
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
    /** the plot that nobody else takes before they have another; null for none */
    keeps: string | null;
  }[];
  /** in the order of the draw */
  steps: { entrant: string; plot: string | null; left: number }[];
}

/** The ticket of an entrant. The same for the same seed, on any machine: `printf '%s' 'seed|id' | sha256sum`. */
export const ticketOf = (seed: string, id: string): string =>
  bytesToHex(sha256(utf8ToBytes(`${seed}|${id}`)));

/**
 * A public draw, in the order of tickets: each in turn takes the plot they like best of those left. Where returning holders
 * come first, the plot of one who returns is left to nobody else before they have taken another. Nobody gains by wishing for
 * other than what they want.
 * Source: random serial dictatorship (Abdulkadiroğlu & Sönmez, Econometrica 66, 1998), with squatting rights (the same,
 * Journal of Economic Theory 88, 1999; from memory).
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
      keeps: keptFor(rule, application, plots),
    }))
    .sort(
      (a, b) =>
        (rule === 'returningFirst' ? Number(b.returning) - Number(a.returning) : 0) ||
        (a.ticket < b.ticket ? -1 : 1),
    );
  const left = new Set(plots.map(({ id }) => id));
  const keptBy = new Map(entrants.flatMap(({ id, keeps }) => (keeps ? [[keeps, id] as const] : [])));
  const steps = entrants.map(({ id, takes, keeps }) => {
    const isFree = (one: string) => left.has(one) && (keptBy.get(one) ?? id) === id;
    const plot = takes.find(isFree) ?? null;
    if (plot) left.delete(plot);
    if (keeps) keptBy.delete(keeps);
    return { entrant: id, plot, left: left.size };
  });
  return {
    form: 'unity-acre/draw/2',
    seed,
    rule,
    plots: plots.map(({ id, name }) => ({ id, name })),
    entrants,
    steps,
  };
}

export const drawn = ({ steps }: DrawRecord): Allotted =>
  new Map(steps.map(({ entrant, plot }) => [entrant, plot]));
