import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { csvOf, readNeutral } from './csv.ts';

// RFC 4180, section 2, rules 5 to 7.
it('quotes what needs it and doubles quotes', () => {
  expect(
    csvOf([
      ['Crop', 'Seeds'],
      ['Peas, snap "tall"', 40],
      ['Onion', 3],
    ]),
  ).toBe('Crop,Seeds\r\n"Peas, snap ""tall""",40\r\nOnion,3\r\n');
});

// OWASP, CSV Injection: cells that begin with one of these signs are taken for formulas.
it.each(['=1+1', '=HYPERLINK("http://x.example")', '+cmd', '-2+3', '@SUM(A1)', '\t=1', '\r=1'])(
  'makes %j plain text',
  (cell) => {
    const [[read]] = parse(csvOf([[cell]])) as [[string]];
    expect(read).toBe(`'${cell}`);
    expect(readNeutral(read)).toBe(cell);
  },
);

it.each([-5, '-5', '-0.25', '+15550101', 'a=b', "'tis"])('leaves %j as it is', (cell) => {
  const [[read]] = parse(csvOf([[cell]])) as [[string]];
  expect(read).toBe(String(cell));
  expect(readNeutral(read)).toBe(String(cell));
});

it('gives back every text that another reader of CSV reads from it', () => {
  fc.assert(
    fc.property(fc.array(fc.array(fc.string(), { minLength: 3, maxLength: 3 }), { minLength: 1 }), (rows) => {
      const read = parse(csvOf(rows), { relax_column_count: true, skip_empty_lines: false }) as string[][];
      const texts = read.map((row) => row.map(readNeutral));
      // A text that begins with the sign itself may have been one that was made neutral: that sign is taken off.
      expect(texts).toEqual(rows.map((row) => row.map(readNeutral)));
    }),
  );
});
