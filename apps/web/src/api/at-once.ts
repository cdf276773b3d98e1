import type { QueryClient } from '@tanstack/react-query';

/** Shows what somebody wrote, first of its list, before it is sent; what they took back is off it. */
export async function showAtOnce<Row extends { readonly id: string; readonly removed: boolean }>(
  client: QueryClient,
  queryKey: readonly unknown[],
  row: Row,
): Promise<void> {
  // A reading begun before this would not have it.
  await client.cancelQueries({ queryKey });
  client.setQueryData<Row[]>(queryKey, (rows = []) => [
    ...(row.removed ? [] : [row]),
    ...rows.filter(({ id }) => id !== row.id),
  ]);
}
