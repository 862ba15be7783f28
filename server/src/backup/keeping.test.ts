import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { backupsToKeep } from './keeping.ts';
import { isDue, newestOf } from './nightly.ts';

const DAY = 86_400_000;
const of = (times: number[]) => times.map((at) => ({ name: String(at), at }));

describe('backups kept', () => {
  it('of a year of nights are those of the last seven days and of the last eight weeks', () => {
    const first = Date.UTC(2026, 0, 1, 3);
    const nights = Array.from({ length: 365 }, (_, n) => first + n * DAY);
    const kept = backupsToKeep(of(nights)).map(({ at }) => at);
    expect(kept.slice(0, 7)).toEqual(nights.slice(-7).reverse());
    // 31 December 2026 is a Thursday: its week and the seven before, each by its Sunday.
    expect(kept).toHaveLength(7 + 8 - 2);
    expect(kept.slice(7).map((at) => new Date(at).getUTCDay())).toEqual([0, 0, 0, 0, 0, 0]);
  });

  it('are the same when kept night by night as when looked at once, and always have the newest', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 200 * 24 }), { minLength: 1 }), (hours) => {
        const times = hours.sort((a, b) => a - b).map((hour) => hour * 3_600_000);
        let kept: ReturnType<typeof of> = [];
        for (const at of times) kept = backupsToKeep([...kept, ...of([at])]);
        expect(kept.map(({ at }) => at)).toEqual(backupsToKeep(of(times)).map(({ at }) => at));
        expect(kept[0]!.at).toBe(times.at(-1));
        expect(kept.length).toBeLessThanOrEqual(15);
      }),
    );
  });
});

describe('a backup is due', () => {
  const at = (day: number, hour: number) => new Date(2026, 4, day, hour).getTime();
  it.each([
    ['at first, at any hour', at(20, 15), null, true],
    ['in the night after the last', at(21, 3), at(20, 3), true],
    ['not twice in a night', at(21, 4), at(21, 2), false],
    ['not by day', at(21, 15), at(21, 3), false],
    ['by day after a night that the server slept through', at(22, 9), at(21, 3), true],
    ['not while a clock that was set back a little is behind', at(20, 2), at(20, 4), false],
  ])('%s', (_, now, newest, due) => {
    expect(isDue(now, newest)).toBe(due);
  });

  it('after a clock that was years ahead is set right, though a backup of then lies there', () => {
    const ahead = new Date(2041, 0, 1, 3).getTime();
    const newest = (times: number[]) => newestOf(of(times), at(20, 3))?.at ?? null;
    expect(isDue(at(20, 3), newest([ahead]))).toBe(true);
    expect(isDue(at(20, 3), newest([ahead, at(19, 3)]))).toBe(true);
    expect(isDue(at(20, 3), newest([ahead, at(20, 2)]))).toBe(false);
  });
});
