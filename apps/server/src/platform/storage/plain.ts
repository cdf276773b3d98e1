/** A copy as plain JSON values: validated request bodies are instances of contract classes. */
export const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));
