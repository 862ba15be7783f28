import fc from 'fast-check';
import { expect, it } from 'vitest';
import { jsonInPieces } from './jsonInPieces.ts';

it('writes what JSON.stringify writes', async () => {
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), async (value) => {
      expect(await jsonInPieces(value)).toBe(JSON.stringify(value));
    }),
  );
  const long = Array.from({ length: 171 }, (_, i) => ({ i, left: undefined, inside: [i, null] }));
  expect(await jsonInPieces(long)).toBe(JSON.stringify(long));
  expect(await jsonInPieces({ a: undefined, long })).toBe(JSON.stringify({ a: undefined, long }));
});
