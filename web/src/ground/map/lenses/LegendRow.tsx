import type { ReactNode } from 'react';

/** One step of a lens' scale: a swatch of its colour, and what it says. */
export function LegendRow({
  fill,
  isRound = false,
  children,
}: {
  /** a colour of the tokens as CSS has it */
  fill: string;
  /** true for plants, false for ground */
  isRound?: boolean;
  children: ReactNode;
}) {
  return (
    <li className="flex items-center gap-2">
      <span
        aria-hidden
        className={`inline-block size-4 shrink-0 border border-ink/50 ${isRound ? 'rounded-full' : ''}`}
        style={{ background: fill }}
      />
      {children}
    </li>
  );
}

export const legendList = 'flex flex-wrap gap-x-5 gap-y-1 text-sm lg:flex-col';
