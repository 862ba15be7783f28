import { useCallback, useSyncExternalStore } from 'react';

/** Whether the page is shown as a media query says, followed as it changes. */
export function useMedia(query: string): boolean {
  const listen = useCallback(
    (tell: () => void) => {
      const media = matchMedia(query);
      media.addEventListener('change', tell);
      return () => media.removeEventListener('change', tell);
    },
    [query],
  );
  return useSyncExternalStore(listen, () => matchMedia(query).matches);
}
