import { useQuery } from '@tanstack/react-query';
import { listKey, useHere } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';

/** Who has asked for a plot of a season. @param enabled whether whoever looks may know */
export function usePlotApplications(year: number, enabled = true) {
  const { garden } = useHere();
  return useQuery({
    queryKey: listKey(garden.id, 'plotApplications', year),
    queryFn: async () => (await ask('plotApplications', { params: { gardenId: garden.id, year } })).data,
    enabled,
  });
}
