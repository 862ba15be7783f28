import { describe, expect, it } from 'vitest';
import { coversFor, standsTender } from './frostCover.ts';

const FOOT = 0.3048;
const beds = new Map([
  ['b1', { width: 4 * FOOT, length: 24 * FOOT }],
  ['b2', { width: 4 * FOOT, length: 8 * FOOT }],
]);
const tomato = (over: object = {}) => ({
  cropId: 'tomato',
  bedId: 'b1',
  width: 4 * FOOT,
  length: 24 * FOOT,
  ...over,
});

describe('frost covers', () => {
  it('are (length + 2·overlap) × (width + 2·overlap + rise): 28 ft × 10 ft for a bed of 24 ft × 4 ft (KNOWLEDGE 8)', () => {
    const [cover] = coversFor([tomato()], beds);
    expect(cover!.length / FOOT).toBeCloseTo(28, 1);
    expect(cover!.width / FOOT).toBeCloseTo(4 + 4 + 2, 1);
  });

  it('are one for a bed, over what stands side by side, and no wider than the bed asks', () => {
    const two = [
      tomato({ width: 1.5 * FOOT, length: 6 * FOOT }),
      tomato({ cropId: 'pepper', width: 1.5 * FOOT }),
    ];
    const covers = coversFor([...two, tomato({ bedId: 'b2', length: 30 * FOOT })], beds);
    expect(covers.map(({ bedId }) => bedId)).toEqual(['b1', 'b2']);
    expect(covers[0]!.cropIds).toEqual(['tomato', 'pepper']);
    expect(covers[0]!.width / FOOT).toBeCloseTo(3 + 4 + 2, 1);
    expect(covers[1]!.length / FOOT).toBeCloseTo(8 + 4, 1);
    expect(coversFor([tomato({ bedId: 'gone' })], beds)).toEqual([]);
  });

  it('are for what is tender, out, and not over', () => {
    const step = (kind: 'sow' | 'emerge' | 'setOut' | 'clear', done: boolean) => ({ kind, done });
    const tender = { hardiness: 'frostTender' } as const;
    expect(standsTender(tender, [step('setOut', true), step('clear', false)])).toBe(true);
    expect(standsTender({ hardiness: 'hardy' }, [step('setOut', true), step('clear', false)])).toBe(false);
    expect(standsTender(tender, [step('emerge', true), step('setOut', false), step('clear', false)])).toBe(
      false,
    );
    expect(standsTender(tender, [step('sow', true), step('emerge', false), step('clear', false)])).toBe(
      false,
    );
    expect(standsTender(tender, [step('setOut', true), step('clear', true)])).toBe(false);
  });
});
