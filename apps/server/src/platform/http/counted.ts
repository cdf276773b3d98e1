import { Transform } from 'node:stream';

/** A stream carried more bytes than allowed. */
export class TooMuch extends Error {
  constructor(readonly most: number) {
    super(`More than ${most} bytes.`);
  }
}

/** A stream that passes bytes on and fails after `most`. It counts what arrives; Content-Length can lie. */
export function counted(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > most) done(new TooMuch(most));
      else done(null, chunk);
    },
  });
}
