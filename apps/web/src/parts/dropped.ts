/** Where things of a list are put down: before or after which, or at the end of the list. */
export interface Drop {
  readonly ids: readonly string[];
  readonly beside: { readonly id: string; readonly after: boolean } | null;
}

/** `ids` taken to where they were dropped in a list that may hold them already. */
export function dropped(list: readonly string[], { ids, beside }: Drop): string[] {
  const others = list.filter((id) => !ids.includes(id));
  const at = beside ? others.indexOf(beside.id) : -1;
  const place = at < 0 ? others.length : at + (beside?.after ? 1 : 0);
  return [...others.slice(0, place), ...ids, ...others.slice(place)];
}
