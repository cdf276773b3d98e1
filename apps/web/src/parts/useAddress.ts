import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** Parts of the address by name; `null` takes one out of it. */
export type AddressParts = Readonly<Record<string, string | null>>;

/**
 * What the page's address holds, and a way to change it without a step in the history. The change
 * is given what the address holds at that moment: what is drawn may be one choice behind, and two
 * choices in a row must both be kept.
 */
export function useAddress(): [
  URLSearchParams,
  (change: AddressParts | ((now: URLSearchParams) => URLSearchParams)) => void,
] {
  const [params, setParams] = useSearchParams();
  const change = useCallback(
    (to: AddressParts | ((now: URLSearchParams) => URLSearchParams)) => {
      const now = new URLSearchParams(window.location.search);
      setParams(typeof to === 'function' ? to(now) : withParts(now, to), { replace: true });
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
