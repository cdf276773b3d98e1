import { useCallback, useEffect } from 'react';
import { useSearchParams } from 'react-router';

/** Parts of the address by name; `null` removes one. */
export type AddressParts = Readonly<Record<string, string | null>>;

/** The address that was set but not rendered yet. */
let ahead: URLSearchParams | null = null;

/**
 * The page's query parameters, and a function that changes them without a history entry. It merges with changes that
 * are not rendered yet, so that of two choices in a row both are kept.
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
