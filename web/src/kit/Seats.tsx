/** Seats are drawn one by one up to so many. */
const MOST_SEATS = 15;

/** People against places: filled seats, and those that somebody is still needed for. Said in words elsewhere. */
export function Seats({
  coming,
  needed,
  isNarrow = false,
}: {
  coming: number;
  needed: number;
  isNarrow?: boolean;
}) {
  const heads = Math.max(coming, needed);
  return (
    <span aria-hidden className="flex flex-wrap gap-[2px] text-xs">
      {heads > MOST_SEATS || isNarrow
        ? `${coming} / ${needed}`
        : Array.from({ length: heads }, (_, seat) => (
            <span
              // biome-ignore lint/suspicious/noArrayIndexKey: seats have nothing of their own but their place
              key={seat}
              className={`size-[9px] rounded-full border ${seat < coming ? 'border-ink bg-ink' : 'border-beet'}`}
            />
          ))}
    </span>
  );
}
