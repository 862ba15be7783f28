import { describe, expect, it } from 'vitest';
import { parseLength, parseNumber } from './parse.ts';

describe('parseNumber', () => {
  it.each([
    ['3.2', 3.2],
    ['3,2', 3.2],
    ['1/2', 0.5],
    ['11/2', 5.5],
    ['1 1/2', 1.5],
    ['1½', 1.5],
    ['½', 0.5],
    ['1,250.5', 1250.5],
    ['1.250,5', 1250.5],
    ['1,250', 1250],
    ['-3', -3],
    ['−3', -3],
    ['.5', 0.5],
  ])('%s is %d', (text, value) => {
    expect(parseNumber(text)).toBeCloseTo(value, 12);
  });

  it.each(['', 'abc', '1/0', '1.2.3', '--3', '3 lb', '/', '.'])('%j is not a number', (text) => {
    expect(parseNumber(text)).toBeNull();
  });
});

describe('parseLength', () => {
  it.each([
    ['4', 1.2192],
    ['12 ft 6 in', 3.81],
    [`12' 6"`, 3.81],
    ['24ft', 7.3152],
    ['3.5 m', 3.5],
    ['90 cm', 0.9],
    ['4 pies', 1.2192],
    ['1 1/2 ft', 0.4572],
  ])('%s is %d m', (text, metres) => {
    expect(parseLength(text, 'ft')).toBeCloseTo(metres, 9);
  });

  it.each(['', 'four', '3 bananas', '12 ft six', 'ft'])('%j is not a length', (text) => {
    expect(parseLength(text, 'ft')).toBeNull();
  });

  it('takes a bare number in the unit asked for', () => {
    expect(parseLength('2', 'm')).toBe(2);
  });
});
