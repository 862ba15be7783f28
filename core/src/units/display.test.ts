import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  lengthText,
  lengthToEdit,
  showArea,
  showDepth,
  showLength,
  showSpacing,
  showTemperature,
  showVolume,
  showWeight,
} from './display.ts';
import { parseLength } from './parse.ts';

it('shows each kind of measure in the units of the garden', () => {
  expect(showLength(7.3152, 'metric')).toMatchObject([{ unit: 'm', value: 7.3152 }]);
  expect(showSpacing(0.1524, 'imperial')).toMatchObject({ unit: 'in', value: expect.closeTo(6, 9) });
  expect(showSpacing(0.15, 'metric')).toMatchObject({ unit: 'cm', value: expect.closeTo(15, 9) });
  expect(showArea(8.918692, 'imperial')).toMatchObject({ unit: 'sq ft', value: expect.closeTo(96, 3) });
  expect(showTemperature(10, 'imperial')).toMatchObject({ unit: '°F', value: 50 });
});

it('goes to the smaller unit for light weights', () => {
  expect(showWeight(226.796185, 'imperial')).toMatchObject({ unit: 'oz', value: expect.closeTo(8, 9) });
  expect(showWeight(453.59237, 'imperial')).toMatchObject({ unit: 'lb', value: 1 });
  expect(showWeight(250, 'metric')).toMatchObject({ unit: 'g', value: 250 });
  expect(showWeight(0, 'imperial')).toMatchObject({ unit: 'lb', value: 0 });
  // Rounded, these would read 16.0 oz and 1,000 g.
  expect(showWeight(453.5, 'imperial').unit).toBe('lb');
  expect(showWeight(999.6, 'metric').unit).toBe('kg');
  expect(showWeight(450, 'imperial').unit).toBe('oz');
  expect(showWeight(999.4, 'metric').unit).toBe('g');
});

it('shows how deep seed goes as packets write it', () => {
  expect(showDepth(0.0127, 'imperial')).toBe('½ in');
  expect(showDepth(0.0317, 'imperial')).toBe('1¼ in');
  expect(showDepth(0.0254, 'imperial')).toBe('1 in');
  expect(showDepth(0.002, 'imperial')).toBe('⅛ in');
  expect(showDepth(0.012, 'metric')).toBe('12 mm');
});

it('shows volumes: a cubic metre is 35.3 cubic feet, 264 gallons, 1,000 litres (NIST Handbook 44)', () => {
  expect(showVolume(1, 'solid', 'imperial').value).toBeCloseTo(35.3147, 3);
  expect(showVolume(1, 'water', 'imperial').value).toBeCloseTo(264.172, 2);
  expect(showVolume(1, 'water', 'metric')).toEqual({ value: 1000, unit: 'l', decimals: 0 });
});

describe('a length in feet', () => {
  it.each([
    [7.3152, '24 ft'],
    [3.81, '12 ft 6 in'],
    [1.22, '4 ft'],
    [0.2, '8 in'],
    [0.3048, '1 ft'],
    [0.29, '11 in'],
    [0.3, '1 ft'],
    [0, '0 ft'],
    [-1.0668, '-3 ft 6 in'],
    [-0.1524, '-6 in'],
    [61, '200 ft'],
  ])('%d m is %s', (metres, text) => expect(lengthText(metres, 'imperial')).toBe(text));

  it('reads back in a form as the length that it is', () => {
    const read = (metres: number) =>
      parseLength(
        lengthToEdit(metres, 'imperial')
          .map(({ value, unit, decimals }) => `${Number(value.toFixed(decimals))} ${unit}`)
          .join(' '),
        'ft',
      );
    fc.assert(
      fc.property(fc.integer({ min: -8 * 1200, max: 8 * 1200 }), (eighths) => {
        expect(read((eighths / 8) * 0.0254)).toBeCloseTo((eighths / 8) * 0.0254, 9);
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: -100, max: 100, noNaN: true }), (metres) => {
        expect(Math.abs(read(metres)! - metres)).toBeLessThan(2e-5);
      }),
    );
  });
});
