import { usePeople } from '../api/people.js';

/** What people are called, who were put away since too; nothing of somebody who is gone. */
export function useNames(): (athleteId: string) => string {
  const people = usePeople();
  return (athleteId) => people.data?.find(({ id }) => id === athleteId)?.name ?? '';
}
