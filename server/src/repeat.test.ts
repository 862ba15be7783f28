import { pino } from 'pino';
import { expect, it, vi } from 'vitest';
import { repeat } from './repeat.ts';

const silent = pino({ level: 'silent' });

it('works at once and again, one at a time, and goes on after what went wrong', async () => {
  vi.useFakeTimers();
  const finish: (() => void)[] = [];
  let begun = 0;
  const end = repeat(
    () => {
      begun += 1;
      if (begun === 2) return Promise.reject(new Error('the disk is full'));
      return new Promise<void>((resolve) => finish.push(resolve));
    },
    1000,
    silent,
  );
  expect(begun).toBe(1);
  await vi.advanceTimersByTimeAsync(3000);
  expect(begun).toBe(1);
  finish.pop()!();
  await vi.advanceTimersByTimeAsync(1000);
  expect(begun).toBe(2);
  await vi.advanceTimersByTimeAsync(1000);
  expect(begun).toBe(3);
  let hasEnded = false;
  const ended = end().then(() => {
    hasEnded = true;
  });
  await vi.advanceTimersByTimeAsync(5000);
  expect([begun, hasEnded]).toEqual([3, false]);
  finish.pop()!();
  await ended;
  vi.useRealTimers();
});
