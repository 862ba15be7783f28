import { isLengthUnit, type LengthUnit, toMetres } from './convert.ts';

const fractions: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
};

/**
 * A number as people write it: `3.2`, `3,2`, `1/2`, `1 1/2`, `1½`, `1,250.5`.
 * A single comma is a decimal comma unless exactly three digits follow it.
 * @returns the number, or null where the text is not one
 */
export function parseNumber(text: string): number | null {
  const trimmed = text.trim().replace('−', '-');
  const match = /^(-?)(\d[\d.,]*|[.,]\d+)?\s*(?:(\d+)\/(\d+)|([½¼¾⅓⅔⅛]))?$/.exec(trimmed);
  if (!match) return null;
  const [, minus, whole, over, under, glyph] = match;
  // "11/2" reaches here as whole = "1", over = "1": the digits of a bare fraction must not be split.
  if (over && whole && !/\s/.test(trimmed)) return bareFraction(trimmed);
  if (!whole && !over && !glyph) return null;
  const base = whole ? Number(plainDigits(whole)) : 0;
  const part = glyph ? fractions[glyph]! : over ? Number(over) / Number(under) : 0;
  const value = base + part;
  return Number.isFinite(value) ? (minus ? -value : value) : null;
}

function bareFraction(text: string): number | null {
  const [over, under] = text.split('/').map(Number) as [number, number];
  const value = over / under;
  return Number.isFinite(value) ? value : null;
}

function plainDigits(text: string): string {
  if (text.includes(',') && text.includes('.')) {
    return text.lastIndexOf(',') > text.lastIndexOf('.')
      ? text.replaceAll('.', '').replace(',', '.')
      : text.replaceAll(',', '');
  }
  return /,\d{3}$/.test(text) ? text.replaceAll(',', '') : text.replace(',', '.');
}

const lengthWords: Record<string, LengthUnit> = {
  "'": 'ft',
  '′': 'ft',
  feet: 'ft',
  foot: 'ft',
  pies: 'ft',
  pie: 'ft',
  '"': 'in',
  '″': 'in',
  inch: 'in',
  inches: 'in',
  pulgadas: 'in',
  pulgada: 'in',
  metres: 'm',
  meters: 'm',
  metros: 'm',
  yards: 'yd',
};

/**
 * A length as people write it: `12 ft 6 in`, `12' 6"`, `3.5 m`, `90 cm`; a bare number is in `bare`. A minus before it holds for all of it.
 * @param bare unit of a number that stands alone
 * @returns metres, or null where the text is not a length
 */
export function parseLength(text: string, bare: LengthUnit): number | null {
  const alone = parseNumber(text);
  if (alone !== null) return toMetres(alone, bare);
  let metres = 0;
  const [, minus, unsigned = ''] = /^([-−]?)\s*(.*)$/s.exec(text.trim().toLowerCase())!;
  let rest = unsigned;
  if (rest === '') return null;
  while (rest !== '') {
    const match = /^([\d.,/½¼¾⅓⅔⅛ ]+?)\s*([a-z]+|['"′″])\s*/.exec(rest);
    if (!match) return null;
    const value = parseNumber(match[1]!);
    const word = match[2]!;
    const unit = isLengthUnit(word) ? word : lengthWords[word];
    if (value === null || !unit) return null;
    metres += toMetres(value, unit);
    rest = rest.slice(match[0].length);
  }
  return minus ? -metres : metres;
}
