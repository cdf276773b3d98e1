import type { SessionNoteReply } from '@orthokin/contract';

/** What was seen of an athlete (`null`: of everybody) in the latest session with an observation of them. */
export function lastOf(
  notes: readonly SessionNoteReply[],
  athleteId: string | null,
): readonly SessionNoteReply[] {
  const own = notes.filter((note) => note.athleteId === athleteId);
  return own.filter(({ sessionId }) => sessionId === own[0]?.sessionId).reverse();
}
