import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../crops/index.ts';
import { milestoneOf } from './entry.ts';
import { plain, readLine } from './line.ts';

const context = {
  today: '2026-05-20',
  units: 'imperial',
  crops: plainCatalogue.crops,
  beds: [
    { id: 'b1', name: 'Bed 1' },
    { id: 'b7', name: 'Bed 7' },
    { id: 'b12', name: 'Bed 12' },
    { id: 'sun', name: 'Sunny corner' },
  ],
  plantings: [
    { id: 'lettuce7', cropId: 'lettuce', bedId: 'b7' },
    { id: 'pea7', cropId: 'pea', bedId: 'b7' },
    { id: 'lettuce1', cropId: 'lettuce', bedId: 'b1' },
    { id: 'carrot12', cropId: 'carrot', bedId: 'b12' },
  ],
} as const;
const read = (text: string) => readLine(text, context);

describe('harvests', () => {
  it('reads the clipboard line', () => {
    expect(read('3.2 lb lettuce bed 7 to pantry')).toMatchObject({
      kind: 'harvest',
      on: '2026-05-20',
      amount: { value: 3.2, unit: 'lb' },
      cropId: 'lettuce',
      bedId: 'b7',
      destination: 'pantry',
      plantingId: 'lettuce7',
      missing: [],
      note: '',
    });
  });

  it('reads the same in Spanish, accents or not', () => {
    for (const line of [
      '3,2 libras de lechuga cantero 7 a la despensa',
      '3,2 lb LECHUGA cama 7 para la despensa',
    ]) {
      expect(read(line)).toMatchObject({
        kind: 'harvest',
        amount: { value: 3.2, unit: 'lb' },
        plantingId: 'lettuce7',
        destination: 'pantry',
        missing: [],
      });
    }
  });

  it('reads ounces, fractions, bunches and bare counts', () => {
    expect(read('12oz peas bed 7').amount).toEqual({ value: 12, unit: 'oz' });
    expect(read('1 1/2 lb peas bed 7').amount).toEqual({ value: 1.5, unit: 'lb' });
    expect(read('½ kg peas bed 7').amount).toEqual({ value: 0.5, unit: 'kg' });
    expect(read('6 bunches carrots').amount).toEqual({ value: 6, unit: 'bunch' });
    expect(read('picked 40 carrots yesterday')).toMatchObject({
      kind: 'harvest',
      amount: { value: 40, unit: 'piece' },
      on: '2026-05-19',
      bedId: 'b12',
    });
  });

  it('keeps a minus so that the amount can be refused', () => {
    expect(read('-3 lb lettuce bed 7').amount).toEqual({ value: -3, unit: 'lb' });
  });

  it('asks only for what is missing', () => {
    expect(read('lettuce to pantry').missing).toEqual(['amount']);
    expect(read('3 lb to pantry').missing).toEqual(['crop']);
    expect(read('3 lb lettuce')).toMatchObject({ candidates: ['lettuce7', 'lettuce1'], missing: [] });
  });
});

describe('sowings and the rest', () => {
  it('reads a sowing with its length of row', () => {
    expect(read('sowed 40 ft of peas in bed 7 monday')).toMatchObject({
      kind: 'sowing',
      amount: { value: 40, unit: 'ft' },
      plantingId: 'pea7',
      on: '2026-05-18',
      missing: [],
    });
  });

  it('does not take bed 1 for bed 12 nor a number of a bed for an amount', () => {
    expect(read('thinned carrots bed 12')).toMatchObject({ kind: 'thinning', bedId: 'b12', amount: null });
    expect(read('lettuce up in bed 1')).toMatchObject({ kind: 'emergence', bedId: 'b1', amount: null });
  });

  it('keeps words it does not know as an observation', () => {
    expect(read('slugs on the lettuce in bed 7')).toMatchObject({
      kind: 'observation',
      cropId: 'lettuce',
      bedId: 'b7',
      note: 'slugs on the in',
      missing: [],
    });
    expect(read('Gate hinge broken')).toMatchObject({ kind: 'observation', note: 'Gate hinge broken' });
    expect(read('').missing).toEqual(['words']);
  });

  it('needs a planting for a sowing', () => {
    expect(read('sowed radish bed 7').missing).toEqual(['planting']);
    expect(read('sowed radish').missing).toEqual(['bed']);
  });
});

describe('a thermometer in the soil', () => {
  it.each([
    ['soil 52 bed 7', 52, 'degF'],
    ['Soil temp in bed 7 is 52 °F', 52, 'degF'],
    ['bed 7 soil 11.5C', 11.5, 'degC'],
    ['52 f soil bed 7', 52, 'degF'],
    ['suelo a 11 grados c, cantero 7', 11, 'degC'],
    ['temperatura del suelo -1 °C cama 7', -1, 'degC'],
  ] as const)('is read from “%s”', (line, value, unit) => {
    expect(read(line)).toMatchObject({
      kind: 'soilReading',
      amount: { value, unit },
      bedId: 'b7',
      missing: [],
      note: '',
    });
  });

  it('is in the garden’s own degrees where none are said', () => {
    expect(readLine('soil 11 bed 7', { ...context, units: 'metric' }).amount).toEqual({
      value: 11,
      unit: 'degC',
    });
  });

  it('asks for its bed, and is not seen where soil is only spoken of', () => {
    expect(read('soil 52').missing).toEqual(['bed']);
    expect(read('soil dry in bed 7').kind).toBe('observation');
    expect(read('spread 3 bags of soil mix on bed 7').kind).not.toBe('soilReading');
  });
});

it('reads care of a bed, and asks for no crop', () => {
  for (const [line, kind] of [
    ['weeded bed 7', 'weeding'],
    ['regamos el cantero 7', 'watering'],
    ['watered', 'watering'],
  ] as const)
    expect(read(line)).toMatchObject({ kind, missing: [], amount: null });
});

it('never fails and never reads one stretch twice', () => {
  const words = fc.constantFrom(
    '3.2',
    'lb',
    'lettuce',
    'bed 7',
    'to pantry',
    'sowed',
    '-',
    '½',
    'peas',
    'ayer',
    'slugs',
    'soil',
    '52 °F',
  );
  const text = fc.oneof(
    fc.string({ unit: 'grapheme' }),
    fc.array(words).map((list) => list.join(' ')),
  );
  fc.assert(
    fc.property(text, (line) => {
      const { parts } = read(line);
      for (const [i, part] of parts.slice(1).entries())
        expect(part.from).toBeGreaterThanOrEqual(parts[i]!.to);
      expect(plain(line).length).toBe(line.length);
    }),
  );
});

it('dates the step of the method that the planting was planned with', () => {
  expect(milestoneOf('sowing', 'startIndoors')).toBe('startIndoors');
  expect(milestoneOf('sowing', 'sowInPlace')).toBe('sow');
  expect(milestoneOf('sowing', 'setPlants')).toBeNull();
  expect(milestoneOf('settingOut', 'sowInPlace')).toBeNull();
  expect(milestoneOf('observation', 'sowInPlace')).toBeNull();
});
