import { describe, expect, it } from 'vitest';
import {
  fromGrams,
  fromMetres,
  toCelsius,
  toFahrenheit,
  toGrams,
  toMetres,
  toSquareFeet,
} from './convert.ts';

// Factors as printed in NIST Special Publication 811 (2008), appendix B.8.
describe('against NIST SP 811, appendix B.8', () => {
  it.each([
    ['ft', 3.048e-1],
    ['in', 2.54e-2],
    ['yd', 9.144e-1],
  ] as const)('one %s is %d m', (unit, metres) => {
    expect(toMetres(1, unit)).toBe(metres);
    expect(fromMetres(metres, unit)).toBeCloseTo(1, 12);
  });

  it.each([
    ['lb', 4.5359237e2],
    ['oz', 2.8349523125e1],
  ] as const)('one %s is %d g', (unit, grams) => {
    expect(toGrams(1, unit)).toBe(grams);
    expect(fromGrams(grams, unit)).toBeCloseTo(1, 12);
  });

  it('one square foot is 9.290 304 E-02 m²', () => {
    expect(toSquareFeet(9.290304e-2)).toBeCloseTo(1, 12);
  });

  it('°C is (°F − 32) / 1.8', () => {
    expect(toCelsius(50)).toBe(10);
    expect(toFahrenheit(-2.2)).toBeCloseTo(28.04, 10);
    expect(toFahrenheit(-40)).toBe(-40);
  });
});
