/** A smooth yearly curve: mean, then cosine and sine of each harmonic of a year of 365 days. */
export type Harmonics = number[];

const YEAR = 365;

const basis = (day: number, terms: number): number[] =>
  Array.from({ length: terms }, (_, i) => {
    if (i === 0) return 1;
    const angle = (2 * Math.PI * Math.ceil(i / 2) * (day + 0.5)) / YEAR;
    return i % 2 === 1 ? Math.cos(angle) : Math.sin(angle);
  });

/** The curve at a day of the year, 0 for 1 January. */
export function harmonicAt(curve: Harmonics, day: number): number {
  return basis(day, curve.length).reduce((sum, term, i) => sum + term * curve[i]!, 0);
}

/**
 * The curve of `orders` harmonics nearest to the values in the sense of least squares.
 * @param points days of the year and values; days may be missing or repeated
 * @throws RangeError for fewer points than the curve has terms
 */
export function fitHarmonics(points: readonly { day: number; value: number }[], orders: number): Harmonics {
  const terms = 1 + 2 * orders;
  if (points.length < terms) throw new RangeError('too few values for a yearly curve');
  const matrix = Array.from({ length: terms }, () => new Array<number>(terms + 1).fill(0));
  for (const { day, value } of points) {
    const row = basis(day, terms);
    for (let i = 0; i < terms; i++) {
      for (let j = 0; j < terms; j++) matrix[i]![j]! += row[i]! * row[j]!;
      matrix[i]![terms]! += row[i]! * value;
    }
  }
  return solve(matrix);
}

/** Solves linear equations by elimination with pivots. @param matrix rows of coefficients with the right side last */
function solve(matrix: number[][]): number[] {
  const size = matrix.length;
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let row = column + 1; row < size; row++) {
      if (Math.abs(matrix[row]![column]!) > Math.abs(matrix[pivot]![column]!)) pivot = row;
    }
    [matrix[column], matrix[pivot]] = [matrix[pivot]!, matrix[column]!];
    const lead = matrix[column]![column]!;
    if (Math.abs(lead) < 1e-9) throw new RangeError('the values leave the yearly curve open');
    for (let row = 0; row < size; row++) {
      if (row === column) continue;
      const factor = matrix[row]![column]! / lead;
      for (let k = column; k <= size; k++) matrix[row]![k]! -= factor * matrix[column]![k]!;
    }
  }
  return matrix.map((row, i) => row[size]! / row[i]!);
}

/** First days of the months in a year of 365 days, and their lengths. */
const monthLengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/**
 * The yearly curve whose monthly means are the given ones, by three harmonics.
 * A mean over a month flattens a harmonic; the amplitudes are raised again by what averaging over a twelfth of the
 * year takes from them (the factor sin x ÷ x with x = πk ÷ 12).
 * @param months twelve means, January first
 */
export function curveOfMonths(months: readonly number[]): Harmonics {
  let start = 0;
  const points = monthLengths.map((length, m) => {
    const point = { day: start + (length - 1) / 2, value: months[m]! };
    start += length;
    return point;
  });
  return fitHarmonics(points, 3).map((term, i) => {
    if (i === 0) return term;
    const x = (Math.PI * Math.ceil(i / 2)) / 12;
    return (term * x) / Math.sin(x);
  });
}
