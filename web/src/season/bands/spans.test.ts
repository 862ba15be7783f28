import type { Planting } from '@unity-acre/contract/season';
import { addDays } from '@unity-acre/core/calendar';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { spansOf } from './spans.ts';

const planting = (id: string, sow: string, days: number): Planting =>
  ({
    id,
    steps: [
      { kind: 'sow', on: sow },
      { kind: 'firstPick', on: addDays(sow, days) },
      { kind: 'lastPick', on: addDays(sow, days + 10) },
    ],
  }) as unknown as Planting;

it('never lays two plantings over each other', () => {
  const some = fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 5, max: 90 })), {
    maxLength: 12,
  });
  fc.assert(
    fc.property(some, (list) => {
      const spans = spansOf(
        list.map(([start, days], i) => planting(String(i), addDays('2026-03-01', start), days)),
      );
      expect(spans).toHaveLength(list.length);
      for (const a of spans) {
        for (const b of spans) {
          if (a === b || a.lane !== b.lane) continue;
          expect(a.lastPick < b.inGround || b.lastPick < a.inGround).toBe(true);
        }
      }
    }),
  );
});

it('uses one line for plantings that follow each other', () => {
  const spans = spansOf([planting('radish', '2026-04-01', 25), planting('bean', '2026-06-01', 55)]);
  expect(spans.map((span) => span.lane)).toEqual([0, 0]);
});
