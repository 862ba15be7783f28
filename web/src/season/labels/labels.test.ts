import jsQR from 'jsqr';
import { create } from 'qrcode';
import { describe, expect, it } from 'vitest';
import { paged, sheets } from './labelSheets.ts';
import { quickLogAddress } from './QrCode.tsx';

describe('label sheets', () => {
  it('lie within their page', () => {
    for (const [name, s] of Object.entries(sheets)) {
      const right = s.left + s.across * s.width + (s.across - 1) * s.gapX;
      const low = s.top + s.down * s.height + (s.down - 1) * s.gapY;
      expect(right, name).toBeLessThanOrEqual(s.page.width + 0.01);
      expect(low, name).toBeLessThanOrEqual(s.page.height + 0.01);
    }
  });

  it('begin where labels are left, and go on to the next page', () => {
    const labels = Array.from({ length: 25 }, (_, i) => i);
    const pages = paged(labels, sheets.a421, 3);
    expect(pages.map((page) => page.length)).toEqual([21, 7]);
    expect(pages[0]!.slice(0, 4)).toEqual([null, null, null, 0]);
    expect(pages.flat().filter((one) => one !== null)).toEqual(labels);
    expect(paged([], sheets.a421, 3)).toEqual([]);
  });
});

describe('the code on a label', () => {
  it('is read back by another reader as the address of the bed’s quick log', () => {
    for (const bed of ['Bed 7', 'Bancal “Ñandú” & Co.', 'x'.repeat(40)]) {
      const address = quickLogAddress('http://garden.example:3000', bed);
      const { modules } = create(address, { errorCorrectionLevel: 'M' });
      const [scale, quiet] = [4, 4];
      const size = (modules.size + 2 * quiet) * scale;
      const pixels = new Uint8ClampedArray(size * size * 4).fill(255);
      for (let y = 0; y < size; y++) {
        for (let x = 0; x < size; x++) {
          const [row, column] = [Math.floor(y / scale) - quiet, Math.floor(x / scale) - quiet];
          const isIn = row >= 0 && column >= 0 && row < modules.size && column < modules.size;
          if (isIn && modules.get(row, column)) pixels.fill(0, (y * size + x) * 4, (y * size + x) * 4 + 3);
        }
      }
      expect(jsQR(pixels, size, size)?.data).toBe(address);
      expect(new URL(address).searchParams.get('line')).toBe(`${bed}: `);
    }
  });
});
