import { useQuery } from '@tanstack/react-query';
import type { AnswerOf, ParamsOf } from '@unity-acre/contract';
import { ask } from '../kit/ask.ts';
import { useHere } from './here.tsx';

/** How often it is asked how the work stands, milliseconds. */
const ASK_MS = 500;

interface Watched<Now> {
  /** how it stands; undefined where nothing is watched, or is not known yet */
  now: Now | undefined;
  isWorking: boolean;
  /** true where the server does not know it any more: it was started anew, or others were begun since */
  isGone: boolean;
  refresh(): void;
}

/** Watches what the server's solver is at, until it ends. @param id null while nothing is begun */
export function useWatched<Name extends 'rota' | 'proposal'>(
  name: Name,
  id: string | null,
): Watched<AnswerOf<Name>> {
  const { garden } = useHere();
  const watching = useQuery({
    queryKey: [name, garden.id, id],
    queryFn: async () =>
      (await ask(name, { params: { gardenId: garden.id, id } as unknown as ParamsOf<Name> })).data,
    enabled: id !== null,
    refetchInterval: ({ state }) =>
      !state.error && (!state.data || state.data.state === 'working') ? ASK_MS : false,
    retry: false,
  });
  const isGone = id !== null && watching.error !== null;
  const now = id === null || isGone ? undefined : watching.data;
  return {
    now,
    isWorking: id !== null && !isGone && (!now || now.state === 'working'),
    isGone,
    refresh: () => void watching.refetch(),
  };
}
