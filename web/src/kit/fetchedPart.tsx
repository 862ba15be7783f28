import i18next from 'i18next';
import { type ComponentType, type ReactNode, startTransition, useEffect, useReducer, useState } from 'react';
import { useNotices } from './notices.ts';

/** Says that what was asked for could not be fetched, and what to do. */
export const sayUnfetched = (): void =>
  useNotices.getState().show({ text: i18next.t('kit:unfetched'), tone: 'trouble' });

/**
 * A part of the page that is fetched when it is first shown, or somebody comes near (`fetch`). Where it cannot be fetched
 * that is said, and `onUnfetched` puts away what asked for it: the page beneath stays with all that is typed, and it can be
 * asked for again.
 * @param waiting what stands in its place until it is there
 */
export function fetchedPart<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  waiting: ReactNode = null,
) {
  let fetched: ComponentType<Props> | null = null;
  const fetch = async () => {
    fetched = await load();
    return fetched;
  };
  // biome-ignore lint/correctness/noComponentHookFactories: made once, at the head of a module, as React's own `lazy` is
  function FetchedPart({ onUnfetched, ...props }: Props & { onUnfetched?(): void }) {
    const [Part, setPart] = useState(() => fetched);
    const [tries, tryAgain] = useReducer((times: number) => times + 1, 0);
    // biome-ignore lint/correctness/useExhaustiveDependencies: it is fetched once a try, whoever waits for it by then
    useEffect(() => {
      if (Part) return;
      let isGone = false;
      fetch().then(
        (part) => startTransition(() => setPart(() => part)),
        () => {
          if (isGone) return;
          sayUnfetched();
          if (!onUnfetched) return;
          onUnfetched();
          // Somebody may ask for it in the very moment it is put away, and then it was never gone.
          tryAgain();
        },
      );
      return () => {
        isGone = true;
      };
    }, [tries]);
    return Part ? <Part {...(props as unknown as Props)} /> : waiting;
  }
  return Object.assign(FetchedPart, {
    /** fetches it ahead; says nothing if it cannot */
    fetch: () =>
      fetch().then(
        () => undefined,
        () => undefined,
      ),
  });
}
