import type { UseQueryResult } from '@tanstack/react-query';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { useMemo } from 'react';
import { useHere } from './here.tsx';
import { seasonListOf } from './lists.ts';
import { type Read, useRead } from './read.ts';

/** First days of the months between two days. */
export function monthsBetween(from: Day, to: Day): Day[] {
  const months: Day[] = [];
  let month = `${from.slice(0, 7)}-01`;
  while (month <= to) {
    if (month >= from) months.push(month);
    month = `${addDays(month, 31).slice(0, 7)}-01`;
  }
  return months;
}

/** What overwinters or stands for years is in both seasons: the first of the two is meant. */
const onceEach = <Row extends { id: string }>(rows: Row[]): Row[] =>
  [...new Map(rows.toReversed().map((row) => [row.id, row])).values()].toReversed();

/** For plantings whose dates are shown without why they stand where they do: a third of the bytes. */
export const datesAlone = { reasons: 'no' } as const;

/** The plantings of the season that is and of the one after it. */
export function bothSeasonsOf(
  garden: Pick<Garden, 'id' | 'seasonYear'>,
  query: object = {},
): [now: Read<Planting[]>, next: Read<Planting[]>] {
  const year = garden.seasonYear;
  return [
    seasonListOf(garden.id, 'plantings', year, query),
    seasonListOf(garden.id, 'plantings', year + 1, query),
  ];
}

/**
 * Plantings of the season that is and the one after it: in November people plan and call sessions for the spring.
 * Nothing is given before both are there.
 */
export function useBothSeasons(query: object = {}): UseQueryResult<Planting[]> {
  const [ofNow, ofNext] = bothSeasonsOf(useHere().garden, query);
  const now = useRead(ofNow);
  const next = useRead(ofNext);
  const data = useMemo(
    () => now.data && next.data && onceEach([...now.data, ...next.data]),
    [now.data, next.data],
  );
  const isPending = now.isPending || next.isPending;
  const isFetching = now.isFetching || next.isFetching;
  return { ...(now.isError ? now : next), isPending, isFetching, data } as UseQueryResult<Planting[]>;
}
