import {
  QueryClient,
  type UseQueryResult,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import type { AnswerOf, ParamsOf, Role, RouteName, SentOf } from '@unity-acre/contract';
import type { Person } from '@unity-acre/contract/crew';
import type { Garden } from '@unity-acre/contract/place';
import { createContext, useContext } from 'react';
import { ask, Refused, type Told } from './ask.ts';
import { useNotices } from './notices.ts';

export const queries = new QueryClient({
  defaultOptions: {
    // Without a connection a write must fail at once and say so, not wait unseen.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      retry: (count, error) => error instanceof Refused && error.problem.code === 'unreachable' && count < 2,
    },
  },
});

/** Where one stands: the garden looked at, and who one is in it. */
export interface Here {
  garden: Garden;
  personId: string;
  role: Role;
  name: string;
}

const HereContext = createContext<Here | null>(null);
export const HereProvider = HereContext.Provider;

/** @throws outside a garden */
export function useHere(): Here {
  const here = useContext(HereContext);
  if (!here) throw new Error('no garden here');
  return here;
}

export const useLeads = (): boolean => ['coordinator', 'crewLead'].includes(useHere().role);
export const useCoordinates = (): boolean => useHere().role === 'coordinator';

type ReadOfGarden =
  | 'backups'
  | 'beds'
  | 'landmarks'
  | 'underlays'
  | 'people'
  | 'rounds'
  | 'plotCare'
  | 'crewRules'
  | 'myPlots'
  | 'messages'
  | 'tools'
  | 'myTimes'
  | 'calendarAddress'
  | 'ownCrops'
  | 'weather'
  | 'seedLots';
type ReadOfYear = 'plantings' | 'tasks' | 'harvestTotals' | 'wishes' | 'hours';

/** A list of the garden one is in. */
export function useList<Name extends ReadOfGarden>(
  name: Name,
  enabled = true,
): UseQueryResult<AnswerOf<Name>> {
  const gardenId = useHere().garden.id;
  return useQuery({
    queryKey: ['garden', gardenId, name],
    queryFn: async () => (await ask(name, { params: { gardenId } as ParamsOf<Name> })).data,
    enabled,
  });
}

/** The people who are in the garden now, and whoever is chosen already though they have left. */
export const presentPeople = (people: readonly Person[] | undefined, chosenId?: string | null): Person[] =>
  (people ?? []).filter(({ id, retiredOn }) => retiredOn === null || id === chosenId);

/** A list of one season of the garden one is in. @param query what else is said of it than its year */
export function useSeasonList<Name extends ReadOfYear>(
  name: Name,
  year: number,
  query: object = {},
): UseQueryResult<AnswerOf<Name>> {
  const gardenId = useHere().garden.id;
  return useQuery({
    queryKey: ['garden', gardenId, name, year, query],
    queryFn: async () =>
      (await ask(name, { params: { gardenId } as ParamsOf<Name>, query: { year, ...query } as never })).data,
  });
}

type Write<Name extends RouteName> = {
  params?: Omit<ParamsOf<Name>, 'gardenId'>;
  body?: SentOf<Name>;
  ifMatch?: number | undefined;
};

/**
 * A write to the garden one is in. What is on the screen is read anew after it; where `say` gives words, they are shown
 * with an Undo.
 */
export function useWrite<Name extends RouteName>(name: Name, say?: (told: Told<Name>) => string | null) {
  const gardenId = useHere().garden.id;
  const client = useQueryClient();
  const show = useNotices((notices) => notices.show);
  return useMutation<Told<Name>, Refused, Write<Name>>({
    mutationFn: ({ params, body, ifMatch }) =>
      ask(name, {
        params: { gardenId, ...params } as ParamsOf<Name>,
        ...(body === undefined ? {} : { body }),
        ifMatch,
      }),
    onSuccess: async (told) => {
      const text = say?.(told);
      if (text) show({ text, change: told.change });
      await client.invalidateQueries({ queryKey: ['garden', gardenId] });
    },
  });
}
