import { usePeople } from '../api/people.js';

/** Names of athletes, archived ones included; empty for deleted ones. */
export function useNames(): (athleteId: string) => string {
  const people = usePeople();
  return (athleteId) => people.data?.find(({ id }) => id === athleteId)?.name ?? '';
}
