import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Me } from '@unity-acre/contract/crew';
import { ask } from '../kit/ask.ts';

const ME = ['me'];

/** Who is looking, and whether there is a garden at all. */
export const useMe = () =>
  useQuery({
    queryKey: ME,
    queryFn: async () => (await ask('me')).data,
    staleTime: Number.POSITIVE_INFINITY,
  });

/** Takes over who is looking after signing in or out; everything read before is forgotten. */
export function useBecome(): (me: Me | null) => void {
  const client = useQueryClient();
  return (me) => {
    client.removeQueries({ queryKey: ['garden'] });
    if (me) client.setQueryData(ME, me);
    else void client.invalidateQueries({ queryKey: ME });
  };
}
