import { expect, it } from 'vitest';
import { firstSteps } from './firstSteps.ts';

const open = (begun: Partial<Parameters<typeof firstSteps>[0]>) =>
  firstSteps({ beds: 0, people: 1, plantings: 0, sessions: 0, ...begun })
    .filter(({ isDone }) => !isDone)
    .map(({ name }) => name);

it('leads a new garden from its beds to its first session', () => {
  expect(open({})).toEqual(['beds', 'people', 'plan', 'session']);
});

it('ticks each once there is one of it, in whatever order they come', () => {
  expect(open({ plantings: 3 })).toEqual(['beds', 'people', 'session']);
  expect(open({ beds: 1, people: 2 })).toEqual(['plan', 'session']);
  expect(open({ beds: 1, people: 2, plantings: 1, sessions: 1 })).toEqual([]);
});
