import { addDays, type Day, daysBetween, isDay } from '@unity-acre/core/calendar';
import { dayInSeason } from '@unity-acre/core/place';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { useMedia } from '../../kit/useMedia.ts';

/** Days of a season. */
export const SEASON_DAYS = 365;
/** How fast the season plays, days a second. */
const DAYS_A_SECOND = 20;
/** Who wants no movement sees a week at a time, so many milliseconds each. */
const STILL_MS = 900;
const WEEK = 7;

export interface MapTime {
  /** the first day of the season */
  first: Day;
  on: Day;
  /** the day on which the hand rested last */
  restedOn: Day;
  isPlaying: boolean;
  goTo(day: Day): void;
  rest(day: Day): void;
  play(isPlaying: boolean): void;
}

/** The day that the map shows: today at first, or the one in the address; it plays through the season. */
export function useMapDay(): MapTime {
  const { garden } = useHere();
  const [search, setSearch] = useSearchParams();
  const first = dayInSeason(garden.latitude, garden.seasonYear, 0);
  const last = addDays(first, SEASON_DAYS - 1);
  const asked = search.get('on');
  const isInSeason = asked !== null && isDay(asked) && asked >= first && asked <= last;
  const restedOn = isInSeason ? asked : garden.today;
  const [moved, setMoved] = useState<{ on: Day; from: Day } | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  // The address leads: who goes back in it sees the day that stood in it.
  const on = moved && moved.from === restedOn ? moved.on : restedOn;
  const goTo = (day: Day) => setMoved({ on: day, from: restedOn });
  const rest = (day: Day) => {
    setMoved(null);
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (day === garden.today) next.delete('on');
        else next.set('on', day);
        return next;
      },
      { replace: true },
    );
  };
  usePlaying(isPlaying, on, last, goTo, (day) => {
    setPlaying(false);
    rest(day);
  });
  const play = (isOn: boolean) => {
    setPlaying(isOn);
    if (!isOn) rest(on);
    else if (on >= last) goTo(first);
  };
  return { first, on, restedOn, isPlaying, goTo, rest, play };
}

/** Moves the day on while it plays, and ends on the last. */
function usePlaying(
  isPlaying: boolean,
  on: Day,
  last: Day,
  goTo: (day: Day) => void,
  end: (day: Day) => void,
): void {
  const isStill = useMedia('(prefers-reduced-motion: reduce)');
  useEffect(() => {
    if (!isPlaying) return;
    if (on >= last) {
      end(last);
      return;
    }
    const left = daysBetween(on, last);
    if (isStill) {
      const timer = setTimeout(() => goTo(addDays(on, Math.min(left, WEEK))), STILL_MS);
      return () => clearTimeout(timer);
    }
    const begun = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      const days = Math.min(left, Math.floor(((now - begun) / 1000) * DAYS_A_SECOND));
      if (days > 0) goTo(addDays(on, days));
      else frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  });
}
