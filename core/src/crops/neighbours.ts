import type { Crop } from './crop.ts';
import file from './neighbours.json' with { type: 'json' };

/** How sure one is: seen in trials or plain from the plants' biology, or handed down. */
export const evidences = ['tested', 'traditional'] as const;
export type Evidence = (typeof evidences)[number];

export interface Neighbour {
  /** a crop's id, a family, or `any` for whatever grows */
  with: string;
  is: 'apart' | 'together';
  evidence: Evidence;
  /** code of the reason */
  why: string;
}

type Pair = { a: string; b: string } & Omit<Neighbour, 'with'>;
const pairs = file.pairs as readonly Pair[];

const isMeant = (name: string, crop: Crop): boolean => name === crop.id || name === crop.family;

/**
 * What should and should not stand beside a crop, with how sure that is.
 * @param evidence the levels a garden goes by
 * Common practice, no source (KNOWLEDGE, "Neighbours").
 */
export function neighboursOf(crop: Crop, evidence: readonly Evidence[]): Neighbour[] {
  return pairs
    .filter((pair) => evidence.includes(pair.evidence))
    .flatMap(({ a, b, ...rest }) => [
      // A crop may be meant on both sides: a radish is kept from other brassicas, and is one.
      ...(isMeant(a, crop) && b !== crop.id ? [{ with: b, ...rest }] : []),
      ...(isMeant(b, crop) && a !== crop.id ? [{ with: a, ...rest }] : []),
    ]);
}

/**
 * Whether one of two crops is grown between the rows of the other: leaves between carrots and peas, herbs around peppers and
 * cucumbers. Common practice, no source (KNOWLEDGE 4, "Interplanting").
 */
export const shareRoom = (a: Crop, b: Crop): boolean =>
  pairs.some(
    (pair) =>
      pair.why === 'roomShared' &&
      ((isMeant(pair.a, a) && isMeant(pair.b, b)) || (isMeant(pair.a, b) && isMeant(pair.b, a))),
  );
