import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Me } from '@unity-acre/contract/crew';
import type { Garden } from '@unity-acre/contract/place';
import { membershipOf } from '../atFirst.ts';
import { ask } from '../kit/ask.ts';
import { dropDrafts } from '../kit/forms/index.ts';
import { usePreferences } from '../preferences.ts';
import { listKey, queries } from './queries.ts';

const ME = ['me'];
const me = queryOptions({
  queryKey: ME,
  queryFn: async () => (await ask('me')).data,
  staleTime: Number.POSITIVE_INFINITY,
});
const garden = (gardenId: string) =>
  queryOptions({
    queryKey: listKey(gardenId, 'garden'),
    queryFn: async () => (await ask('garden', { params: { gardenId } })).data,
  });

/** Who is looking, and whether there is a garden at all. */
export const useMe = () => useQuery(me);

/** The garden that somebody is in. */
export const useGarden = (gardenId: string) => useQuery(garden(gardenId));

/**
 * Asks who is looking, and for the garden they are in, so that the garden is the first that is drawn. What does not come is
 * asked for again, and spoken of, by what shows it.
 * @returns what is found, or null
 */
export async function lookAround(): Promise<{
  garden: Garden;
  role: Me['memberships'][number]['role'];
} | null> {
  try {
    const known = await queries.ensureQueryData(me);
    const here = membershipOf(known, usePreferences.getState().gardenId);
    return here ? { garden: await queries.ensureQueryData(garden(here.gardenId)), role: here.role } : null;
  } catch {
    // The screen asks again.
    return null;
  }
}

/** Takes over what is newly known of who is looking: it is still the same account. */
export function useKnowMe(): (me: Me) => void {
  const client = useQueryClient();
  return (me) => void client.setQueryData(ME, me);
}

/** Takes over who is looking after signing in or out; everything read and typed before is forgotten. */
export function useBecome(): (me: Me | null) => void {
  const client = useQueryClient();
  return (me) => {
    dropDrafts();
    client.removeQueries({ queryKey: ['garden'] });
    if (me) client.setQueryData(ME, me);
    else void client.invalidateQueries({ queryKey: ME });
  };
}
