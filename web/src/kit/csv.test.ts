import { expect, it } from 'vitest';
import { csvOf } from './csv.ts';

// RFC 4180, section 2, rules 5 to 7.
it('quotes what needs it and doubles quotes', () => {
  expect(
    csvOf(
      ['Crop', 'Seeds'],
      [
        ['Peas, snap "tall"', 40],
        ['Onion', 3],
      ],
    ),
  ).toBe('Crop,Seeds\r\n"Peas, snap ""tall""",40\r\nOnion,3\r\n');
});
