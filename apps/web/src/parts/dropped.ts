/** Where list items are dropped: before or after another, or at the end. */
export interface Drop {
  readonly ids: readonly string[];
  readonly beside: { readonly id: string; readonly after: boolean } | null;
}

/** A list with `ids` moved, or inserted, where they were dropped. */
export function dropped(list: readonly string[], { ids, beside }: Drop): string[] {
  const others = list.filter((id) => !ids.includes(id));
  const at = beside ? others.indexOf(beside.id) : -1;
  const place = at < 0 ? others.length : at + (beside?.after ? 1 : 0);
  return [...others.slice(0, place), ...ids, ...others.slice(place)];
}
