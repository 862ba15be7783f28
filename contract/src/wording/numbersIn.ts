/** What stands between a number's thousands, and before its decimals: the same in English and in the Spanish of the Americas (es-419). */
const THOUSANDS = ',';
const DECIMALS = '.';

/**
 * A number as it is written, with so many decimals at most (all of them, where it is padded), halves rounded away from zero.
 * Not by `Intl.NumberFormat`: to make its first takes the browser as long as to draw forty lines of the log book.
 */
export function numberIn(
  value: number,
  { decimals, grouped = true, isPadded = false }: { decimals: number; grouped?: boolean; isPadded?: boolean },
): string {
  if (!Number.isFinite(value) || Math.abs(value) >= 1e15)
    return new Intl.NumberFormat('en', {
      maximumFractionDigits: decimals,
      ...(isPadded && { minimumFractionDigits: decimals }),
      useGrouping: grouped,
    }).format(value);
  const size = Math.abs(value);
  // Moved by its digits, not by multiplying: 1.005 is to become 1.01.
  const rounded = size < 1e-6 ? 0 : Math.round(Number(`${size}e${decimals}`)) / 10 ** decimals;
  const [whole = '', rest] = rounded.toFixed(decimals).split('.');
  const digits = (isPadded ? rest : rest?.replace(/0+$/, '')) ?? '';
  const spaced = grouped ? whole.replace(/\B(?=(\d{3})+$)/g, THOUSANDS) : whole;
  return `${value < 0 && rounded > 0 ? '-' : ''}${spaced}${digits && DECIMALS + digits}`;
}
