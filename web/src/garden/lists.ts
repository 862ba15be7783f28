import type { UseQueryResult } from '@tanstack/react-query';
import type { AnswerOf, ParamsOf } from '@unity-acre/contract';
import { ask } from '../kit/ask.ts';
import { useHere } from './here.tsx';
import { listKey } from './queries.ts';
import { type Read, useRead } from './read.ts';

type ReadOfGarden =
  | 'backups'
  | 'beds'
  | 'bedRecords'
  | 'landmarks'
  | 'underlays'
  | 'people'
  | 'rounds'
  | 'plotCare'
  | 'crewRules'
  | 'myPlots'
  | 'messages'
  | 'tools'
  | 'putOffs'
  | 'myTimes'
  | 'calendarAddress'
  | 'ownCrops'
  | 'weather'
  | 'seedLots'
  | 'seedPrices';
type ReadOfYear = 'plantings' | 'received' | 'harvestTotals' | 'wishes' | 'hours';

/** A list of a garden, and what it is kept under. */
export const listOf = <Name extends ReadOfGarden>(gardenId: string, name: Name): Read<AnswerOf<Name>> => ({
  queryKey: listKey(gardenId, name),
  queryFn: async () => (await ask(name, { params: { gardenId } as ParamsOf<Name> })).data,
});

/** A list of one season of a garden, and what it is kept under. @param query what else is said of it than its year */
export const seasonListOf = <Name extends ReadOfYear>(
  gardenId: string,
  name: Name,
  year: number,
  query: object = {},
): Read<AnswerOf<Name>> => ({
  queryKey: listKey(gardenId, name, year, query),
  queryFn: async () =>
    (await ask(name, { params: { gardenId } as ParamsOf<Name>, query: { year, ...query } as never })).data,
});

/** A list of the garden one is in. */
export function useList<Name extends ReadOfGarden>(
  name: Name,
  enabled = true,
): UseQueryResult<AnswerOf<Name>> {
  return useRead({ ...listOf(useHere().garden.id, name), enabled });
}

/** A list of one season of the garden one is in. */
export function useSeasonList<Name extends ReadOfYear>(
  name: Name,
  year: number,
  query: object = {},
): UseQueryResult<AnswerOf<Name>> {
  return useRead(seasonListOf(useHere().garden.id, name, year, query));
}
