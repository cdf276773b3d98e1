/**
 * What comes piece by piece, the next begun while one is used: the database finds a page while the one before it is
 * written. Only one is ahead; that it failed is heard in its turn.
 */
export async function* ahead<Piece>(pieces: AsyncIterable<Piece>): AsyncIterable<Piece> {
  const coming = pieces[Symbol.asyncIterator]();
  try {
    let next = coming.next();
    for (;;) {
      const piece = await next;
      if (piece.done === true) return;
      next = coming.next();
      // It is heard of by whoever waits for it.
      next.catch(() => undefined);
      yield piece.value;
    }
  } finally {
    await coming.return?.();
  }
}
