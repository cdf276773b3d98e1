import type { QueryClient } from '@tanstack/react-query';

interface Written {
  readonly id: string;
  /** Whether it was withdrawn. */
  readonly removed: boolean;
}

/** Shows an entry first in its list before it is sent; a withdrawn one disappears. */
export async function showAtOnce(
  client: QueryClient,
  queryKey: readonly unknown[],
  row: Written,
): Promise<void> {
  // A response already under way would not contain it.
  await client.cancelQueries({ queryKey });
  client.setQueryData<Written[]>(queryKey, (rows = []) => [
    ...(row.removed ? [] : [row]),
    ...rows.filter(({ id }) => id !== row.id),
  ]);
}
