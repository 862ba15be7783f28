import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { clientName } from '../kit/ask.ts';
import { useHere } from './here.tsx';
import { askAgain } from './queries.ts';

/** A burst of changes is read once, milliseconds. */
const GATHER_MS = 150;
/** When a stream that was refused is opened anew, milliseconds. */
const AGAIN_MS = 60_000;

/**
 * Asks again for what others change in the garden, for as long as the screen is shown. One's own writes ask for themselves,
 * and are not told here.
 */
export function useLive(): void {
  const client = useQueryClient();
  const { id } = useHere().garden;
  const [opened, setOpened] = useState(0);
  useEffect(() => {
    const stream = new EventSource(`/api/gardens/${id}/events?client=${clientName}`);
    const touched = new Set<string>();
    let waiting: ReturnType<typeof setTimeout> | undefined;
    let wasCutOff = false;
    const gather = (kinds: readonly string[]) => {
      for (const kind of kinds) touched.add(kind);
      clearTimeout(waiting);
      waiting = setTimeout(() => {
        void askAgain(client, id, touched);
        touched.clear();
      }, GATHER_MS);
    };
    stream.addEventListener('changed', ({ data }: MessageEvent<string>) => gather(data.split(',')));
    let again: ReturnType<typeof setTimeout> | undefined;
    stream.addEventListener('error', () => {
      wasCutOff = true;
      // Refused, the browser does not try again by itself: whoever was signed out may be back by then.
      if (stream.readyState === EventSource.CLOSED) again = setTimeout(() => setOpened(opened + 1), AGAIN_MS);
    });
    // Nobody told what changed while the line was dead.
    stream.addEventListener('open', () => {
      if (wasCutOff || opened > 0) gather(['garden']);
      wasCutOff = false;
    });
    return () => {
      clearTimeout(waiting);
      clearTimeout(again);
      stream.close();
    };
  }, [client, id, opened]);
}
