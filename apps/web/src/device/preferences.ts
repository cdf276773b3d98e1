const keyOf = (name: string): string => `orthokin.${name}`;

/** What is kept on this device under a name; the given value when nothing usable is. */
export function remembered<T>(name: string, fallback: T): T {
  try {
    const kept = localStorage.getItem(keyOf(name));
    return kept === null ? fallback : (JSON.parse(kept) as T);
  } catch {
    return fallback;
  }
}

/**
 * Keeps a value on this device. False when it has no room: a full or closed storage must not stop
 * a drill.
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
    // Nothing can be kept here, so nothing was.
  }
}
