/**
 * Iterates with one element of read-ahead: while the caller uses an element, the next is being fetched. An error
 * surfaces when its element is due.
 */
export async function* ahead<Piece>(pieces: AsyncIterable<Piece>): AsyncIterable<Piece> {
  const coming = pieces[Symbol.asyncIterator]();
  try {
    let next = coming.next();
    for (;;) {
      const piece = await next;
      if (piece.done === true) return;
      next = coming.next();
      // The caller awaits this promise later; until then a rejection must not count as unhandled.
      next.catch(() => undefined);
      yield piece.value;
    }
  } finally {
    await coming.return?.();
  }
}
