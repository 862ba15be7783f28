import { type AtHand, type PracticeCode, type PracticeFacts, practiceFor } from '@unity-acre/core/crops';
import type { TaskKind } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useAmountWords } from '../useAmountWords.ts';

/** Lengths below it are said as spacings, in inches or centimetres. */
const SPACING_BELOW_M = 0.9;

/** How a kind of work is done with a crop, in short lines. */
export function HowTo({ kind, at }: { kind: TaskKind; at: AtHand }) {
  const words = useLineWords();
  return (
    <ol className="my-1.5 flex list-decimal flex-col gap-0.5 pl-5">
      {practiceFor(kind, at).map(({ code, ...facts }) => (
        <li key={code}>{words(code, facts)}</li>
      ))}
    </ol>
  );
}

/** A line of a card in words, with its numbers in the garden's units. */
function useLineWords(): (code: PracticeCode, facts: PracticeFacts) => string {
  const { t } = useTranslation('practice');
  const { length, spacing, temperature } = useMeasure();
  const amount = useAmountWords();
  return (code, { count, length: metres, width, volume, spoons, warmth }) =>
    t(code as 'hoops', {
      count: count ?? 0,
      ...(width !== undefined && { width: length(width) }),
      ...(volume !== undefined && { volume: amount.heap(volume) }),
      ...(spoons !== undefined && { spoons: amount.spoons(spoons) }),
      ...(metres !== undefined && { length: metres < SPACING_BELOW_M ? spacing(metres) : length(metres) }),
      ...(warmth && { from: temperature(warmth[0]), to: temperature(warmth[1]) }),
    });
}
