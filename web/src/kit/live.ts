import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useHere } from './garden.ts';

/** A burst of changes is read once, milliseconds. */
const GATHER_MS = 150;

/** Reads the garden anew whenever anybody changes something in it, for as long as the screen is shown. */
export function useLive(): void {
  const client = useQueryClient();
  const { id } = useHere().garden;
  useEffect(() => {
    const stream = new EventSource(`/api/gardens/${id}/events`);
    let waiting: ReturnType<typeof setTimeout> | undefined;
    stream.addEventListener('changed', () => {
      clearTimeout(waiting);
      waiting = setTimeout(() => void client.invalidateQueries({ queryKey: ['garden', id] }), GATHER_MS);
    });
    return () => {
      clearTimeout(waiting);
      stream.close();
    };
  }, [client, id]);
}
