import { Progress as Radix } from 'radix-ui';

/** How far long work has come. @param share 0 to 1; null where that is not known */
export function Progress({
  label,
  share,
  className = '',
}: {
  label: string;
  share: number | null;
  className?: string;
}) {
  return (
    <Radix.Root
      aria-label={label}
      value={share === null ? null : Math.round(share * 100)}
      className={`h-3 w-full overflow-hidden rounded-full bg-line ${className}`}
    >
      <Radix.Indicator
        className={`h-full bg-leaf-mid ${share === null ? 'w-1/3 animate-pulse' : ''}`}
        {...(share !== null && { style: { width: `${share * 100}%` } })}
      />
    </Radix.Root>
  );
}
