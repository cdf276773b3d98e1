/** A value as JSON would carry it: the request's objects are instances of contract's classes. */
export const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));
