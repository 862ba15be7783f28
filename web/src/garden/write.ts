import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  type AnswerOf,
  answersRowOf,
  type ListName,
  type ParamsOf,
  type QueryOf,
  type RouteName,
  type SentOf,
} from '@unity-acre/contract';
import { ask, type Told, type Upload } from '../kit/ask.ts';
import { refusalWords } from '../kit/forms/index.ts';
import { Refused } from '../kit/refused.ts';
import { useNotices } from '../kit/screens/index.ts';
import { useHere } from './here.tsx';
import { askAgain, patchRow, replaceRow } from './queries.ts';

export type Write<Name extends RouteName> = {
  params?: Omit<ParamsOf<Name>, 'gardenId'>;
  query?: QueryOf<Name>;
  body?: SentOf<Name>;
  file?: Upload;
  ifMatch?: number | undefined;
};

/** Shows a row of one of the garden's lists as it is expected to become. @returns what shows it as it was */
type Patch = <Row extends { id: string }>(
  list: ListName,
  id: string,
  change: (row: Row) => Row,
) => () => void;

interface Ways<Name extends RouteName> {
  /** says in words what was done, to be shown with an Undo; null says nothing */
  say?(told: Told<Name>): string | null;
  /** true where the screen itself shows why it was refused; otherwise a notice says so */
  isShownHere?(refused: Refused): boolean;
  /** says a refusal in words of its own; undefined leaves it to the usual ones */
  refusal?(refused: Refused): string | undefined;
  /** Shows at once what is expected to come of it. @returns what takes that back again */
  expect?(write: Write<Name>, patch: Patch): () => void;
}

interface Handlers<Name extends RouteName> {
  onSuccess?(told: Told<Name>): void;
  onError?(refused: Refused): void;
}

/** A write that is under way; `isAwaited` where whoever began it takes the refusal. */
interface Begun<Name extends RouteName> {
  write: Write<Name>;
  isAwaited: boolean;
}

/** What holds now in the place of what was on the screen when a write was refused. */
const NEWER: ReadonlySet<string> = new Set(['stale', 'notFound', 'full', 'calledOff', 'rotaStale', 'taken']);

/**
 * A write to the garden one is in: the one way by which screens change anything. What it touched is asked for again, and
 * nothing else. A refusal is always said: `mutate` says it itself in a notice, `mutateAsync` throws it to whoever waits
 * (a form, which shows it beside its fields).
 */
export function useWrite<Name extends RouteName>(
  name: Name,
  ways: Ways<Name> | ((told: Told<Name>) => string | null) = {},
) {
  const { say, isShownHere, refusal, expect }: Ways<Name> = typeof ways === 'function' ? { say: ways } : ways;
  const gardenId = useHere().garden.id;
  const client = useQueryClient();
  const { show } = useNotices.getState();
  const mutation = useMutation<Told<Name>, Refused, Begun<Name>, () => void>({
    mutationFn: ({ write: { params, ...write } }) =>
      ask(name, { ...write, params: { gardenId, ...params } as ParamsOf<Name> }),
    onMutate: ({ write }) =>
      expect?.(write, (list, id, change) => patchRow(client, gardenId, list, id, change)) ??
      (() => undefined),
    onError: async (refused, { isAwaited }, takeBack) => {
      takeBack?.();
      if (!isAwaited && !isShownHere?.(refused))
        show({ text: refusal?.(refused) ?? (await refusalWords(refused)), tone: 'trouble' });
      if (NEWER.has(refused.problem.code)) await askAgain(client, gardenId, ['garden']);
    },
    onSuccess: async (told, { isAwaited }) => {
      const text = say?.(told);
      const { change } = told;
      const tellIt = () => {
        if (text) show({ text, ...(change && { onUndo: () => undo(client, gardenId, change) }) });
      };
      // A form is told to be saved once it has taken in what was saved, and not while it still keeps a draft of it.
      if (!isAwaited) tellIt();
      await settle(client, gardenId, name, told);
      if (isAwaited) tellIt();
    },
  });
  return {
    ...mutation,
    mutate: (write: Write<Name>, { onSuccess, onError }: Handlers<Name> = {}) =>
      mutation.mutate(
        { write, isAwaited: false },
        {
          onSuccess: (told) => onSuccess?.(told),
          onError: (refused) => onError?.(refused),
        },
      ),
    mutateAsync: (write: Write<Name>) => mutation.mutateAsync({ write, isAwaited: true }),
  };
}

/** Brings the lists to what a write has made of them. */
async function settle<Name extends RouteName>(
  client: QueryClient,
  gardenId: string,
  name: Name,
  { data, touched }: Told<Name>,
): Promise<void> {
  const list: ListName | undefined = (answersRowOf as Partial<Record<RouteName, ListName>>)[name];
  if (list) replaceRow(client, gardenId, list, data as AnswerOf<'signUp'>);
  await askAgain(client, gardenId, touched, list ? [list] : []);
}

/** Takes a change back, and says so, or why it cannot be. */
async function undo(client: QueryClient, gardenId: string, id: string): Promise<void> {
  const { show } = useNotices.getState();
  try {
    const { change, touched } = await ask('undo', { params: { gardenId, id } });
    show({ undone: true, ...(change && { onUndo: () => undo(client, gardenId, change) }) });
    await askAgain(client, gardenId, touched);
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    show({ text: await refusalWords(error), tone: 'trouble' });
  }
}
