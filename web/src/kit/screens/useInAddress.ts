import { useSearchParams } from 'react-router';

/**
 * What is open on a screen, kept in its address: it can be linked to, stays at a reload, and the browser's own button closes it.
 * @param name of the parameter
 * @returns its value, null where nothing is open; and what sets it
 */
export function useInAddress(name: string): [string | null, (value: string | null) => void] {
  const [search, setSearch] = useSearchParams();
  const set = (value: string | null) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        if (value === null) next.delete(name);
        else next.set(name, value);
        return next;
      },
      // What is opened can be left by going back; what is closed is not to be come back to.
      { replace: value === null },
    );
  return [search.get(name), set];
}
