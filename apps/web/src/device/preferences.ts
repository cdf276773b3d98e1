const keyOf = (name: string): string => `orthokin.${name}`;

/** A value stored on this device; `fallback` if there is none that can be read. */
export function remembered<T>(name: string, fallback: T): T {
  try {
    const kept = localStorage.getItem(keyOf(name));
    return kept === null ? fallback : (JSON.parse(kept) as T);
  } catch {
    return fallback;
  }
}

/**
 * Stores a value on this device. Full or disabled storage must not stop a drill.
 * @returns whether it was stored
 */
export function remember(name: string, value: unknown): boolean {
  try {
    localStorage.setItem(keyOf(name), JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(keyOf(name));
  } catch {
    // If storage is disabled nothing was stored.
  }
}
