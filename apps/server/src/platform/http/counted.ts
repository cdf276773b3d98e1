import { Transform } from 'node:stream';

/** More came than may come. */
export class TooMuch extends Error {
  constructor(readonly most: number) {
    super(`More than ${most} bytes.`);
  }
}

/** Lets bytes through until there are too many: they are counted as they come, whatever was said before. */
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
