import type { SessionNoteReply } from '@orthokin/contract';

/** What was seen of somebody (`null`: of everybody) in the session in which something was seen last. */
export function lastOf(
  notes: readonly SessionNoteReply[],
  athleteId: string | null,
): readonly SessionNoteReply[] {
  const own = notes.filter((note) => note.athleteId === athleteId);
  return own.filter(({ sessionId }) => sessionId === own[0]?.sessionId).reverse();
}
