import type { QueryClient } from '@tanstack/react-query';

interface Written {
  readonly id: string;
  /** Taken back. */
  readonly removed: boolean;
}

/** Shows what somebody wrote, first of its list, before it is sent; what they took back is off it. */
export async function showAtOnce(
  client: QueryClient,
  queryKey: readonly unknown[],
  row: Written,
): Promise<void> {
  // A reading begun before this would not have it.
  await client.cancelQueries({ queryKey });
  client.setQueryData<Written[]>(queryKey, (rows = []) => [
    ...(row.removed ? [] : [row]),
    ...rows.filter(({ id }) => id !== row.id),
  ]);
}
