import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import { groupedBy } from '../../maths/index.ts';
import type { Window } from '../../season/index.ts';

/** Work that is one of several of its kind, such as the sowings of a succession. */
export interface SpacedWork {
  id: string;
  /** what it is one of: its kind with the crop and variety, or its planting */
  series: string;
  on: Day;
  window: Window;
}

/** Days so near each other are one time, in several beds. Common practice, no source: successions are a week apart and more. */
const ONE_TIME_DAYS = 4;

/**
 * Windows in which several of a series keep their distance: between two of them each has its half of the days, so that they
 * never fall on one day. What is overdue is done from a day on, and what comes after it so much later.
 * @param from the first day on which anything can be done
 * @returns windows by id; work that is alone in its series has the one it had
 */
export function spacedWindows(work: readonly SpacedWork[], from: Day): Map<string, Window> {
  const windows = new Map<string, Window>();
  for (const all of groupedBy(work, ({ series }) => series).values()) {
    const times = timesOf(all, from);
    for (const [i, time] of times.entries())
      for (const { id, window } of time.works)
        windows.set(id, times.length === 1 ? window : between(times[i - 1], time, times[i + 1], window));
  }
  return windows;
}

/** A window at a time of a series, kept off the times before and after it. */
function between(before: Time | undefined, { on }: Time, after: Time | undefined, window: Window): Window {
  // Whoever chose a day before the window may have it.
  const first = earlierOf(window.earliest, on);
  const earliest = before ? laterOf(first, half(before.on, on)) : first;
  // The last day of its own; what is past its window has all the days up to the next.
  const last = after ? addDays(half(on, after.on), -1) : window.latest;
  const latest = window.latest < on ? last : earlierOf(window.latest, last);
  return { earliest, best: on, latest: laterOf(earliest, latest) };
}

/** The first day that belongs to the later of two times. */
const half = (before: Day, after: Day): Day => addDays(before, Math.ceil(daysBetween(before, after) / 2));

interface Time {
  works: SpacedWork[];
  planned: Day;
  /** the day on which it is done */
  on: Day;
}

/** The times of a series, each with what is done then. */
function timesOf(all: readonly SpacedWork[], from: Day): Time[] {
  const times: Time[] = [];
  for (const one of [...all].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))) {
    const last = times.at(-1);
    const apart = last ? daysBetween(last.planned, one.on) : 0;
    if (last && apart <= ONE_TIME_DAYS) last.works.push(one);
    else {
      const soonest = last ? addDays(last.on, Math.ceil(apart / 2)) : from;
      times.push({ works: [one], planned: one.on, on: laterOf(one.on, soonest) });
    }
  }
  return times;
}
