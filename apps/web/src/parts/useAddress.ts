import { useCallback, useEffect } from 'react';
import { useSearchParams } from 'react-router';

/** Parts of the address by name; `null` takes one out of it. */
export type AddressParts = Readonly<Record<string, string | null>>;

/** What the address is about to hold, from a choice until the page is drawn by it. */
let ahead: URLSearchParams | null = null;

/**
 * What the page's address holds, and a way to change it without a step in the history. The change
 * is given what the address holds, or is about to hold: two choices before the next drawing must
 * both be kept.
 */
export function useAddress(): [
  URLSearchParams,
  (change: AddressParts | ((now: URLSearchParams) => URLSearchParams)) => void,
] {
  const [params, setParams] = useSearchParams();
  useEffect(() => {
    ahead = null;
    return () => {
      ahead = null;
    };
  }, [params]);
  const change = useCallback(
    (to: AddressParts | ((now: URLSearchParams) => URLSearchParams)) => {
      const now = new URLSearchParams(ahead ?? window.location.search);
      ahead = typeof to === 'function' ? to(now) : withParts(now, to);
      setParams(ahead, { replace: true });
    },
    [setParams],
  );
  return [params, change];
}

function withParts(now: URLSearchParams, parts: AddressParts): URLSearchParams {
  for (const [name, value] of Object.entries(parts))
    if (value === null) now.delete(name);
    else now.set(name, value);
  return now;
}
