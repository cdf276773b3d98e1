import { pipeline, type Readable } from 'node:stream';
import { createInflateRaw } from 'node:zlib';
import { wrong, type Problem } from '@orthokin/core/result';
import { open, type Entry, type ZipFile } from 'yauzl';
import { counted, TooMuch } from '../../platform/http/counted.js';

/** The file cannot be imported; the problems say why. */
export class Unreadable extends Error {
  constructor(
    readonly problems: readonly Problem[],
    readonly status = 400,
  ) {
    super('What came cannot be read.');
  }
}

export function unreadable(field: string, given: unknown, allowed: string): Unreadable {
  const refused = wrong(field, given, allowed);
  return new Unreadable(refused.ok ? [] : [refused.problem]);
}

/** The most bytes a whole file may unpack to. */
const MOST_UNPACKED = 2 ** 31;
const MOST_ENTRIES = 100;
/** The zip format's number for Deflate (APPNOTE.TXT). */
const DEFLATED = 8;
/**
 * Larger chunks than the default 16 kB, which spend longer waiting for a turn than being unpacked; and some read
 * ahead.
 */
const PIECES = { chunkSize: 2 ** 18, highWaterMark: 2 ** 20 };
/** The longest line; a line is one row, the largest a pattern with all its versions. */
const LONGEST_LINE = 8 * 2 ** 20;

/** A zip's files, opened one by one; unpacked bytes are counted and bounded. */
export class Unpacked {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  static async open(path: string): Promise<Unpacked> {
    try {
      const zip = await new Promise<ZipFile>((done, fail) =>
        open(path, { lazyEntries: true, autoClose: false }, (error, opened) =>
          error ? fail(error) : done(opened),
        ),
      );
      return new Unpacked(zip, await entriesOf(zip));
    } catch (error) {
      if (error instanceof Unreadable) throw error;
      throw unreadable('file', 'what cannot be unpacked', 'a zip as it was taken out');
    }
  }

  has(name: string): boolean {
    return this.entries.has(name);
  }

  close(): void {
    this.zip.close();
  }

  /** A file's unpacked bytes, at most `most` of them. */
  private async bytes(name: string, most: number): Promise<Readable> {
    const entry = this.entries.get(name);
    if (!entry) throw unreadable('file', `no ${name}`, `a zip with ${name} in it`);
    const isDeflated = entry.compressionMethod === DEFLATED;
    const stream = await new Promise<Readable>((done, fail) =>
      this.zip.openReadStream(
        entry,
        isDeflated ? { decodeFileData: false } : {},
        (error, opened) => (error ? fail(error) : done(opened)),
      ),
    );
    // `pipeline` closes all streams if one fails; readers see the error on the last one.
    const over = () => undefined;
    return isDeflated
      ? // No more than it says it is: whoever unpacks raw pieces has to look at that, too.
        pipeline(
          stream,
          createInflateRaw(PIECES),
          counted(Math.min(most, entry.uncompressedSize)),
          over,
        )
      : pipeline(stream, counted(most), over);
  }

  /** A whole file as text. */
  async text(name: string, most: number): Promise<string> {
    try {
      const chunks: Buffer[] = [];
      for await (const chunk of await this.bytes(name, most)) chunks.push(chunk as Buffer);
      return Buffer.concat(chunks).toString('utf8');
    } catch (error) {
      throw refusalOf(name, error);
    }
  }

  /** A file's lines, in batches as they are unpacked; empty lines are skipped. */
  async *lines(name: string): AsyncIterable<readonly string[]> {
    let rest = '';
    try {
      const decoder = new TextDecoder();
      for await (const chunk of await this.bytes(name, MOST_UNPACKED)) {
        const parts = (rest + decoder.decode(chunk as Buffer, { stream: true })).split('\n');
        rest = parts.pop() ?? '';
        if (rest.length > LONGEST_LINE) throw new TooMuch(LONGEST_LINE);
        yield parts.filter((part) => part !== '');
      }
    } catch (error) {
      throw refusalOf(name, error);
    }
    if (rest !== '') yield [rest];
  }
}

function refusalOf(name: string, error: unknown): unknown {
  if (error instanceof Unreadable) return error;
  if (error instanceof TooMuch)
    return unreadable(name, `more than ${error.most} bytes`, `at most ${error.most} bytes`);
  return unreadable(name, 'what cannot be unpacked', 'a file as it was packed');
}

function entriesOf(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  return new Promise((done, fail) => {
    const entries = new Map<string, Entry>();
    zip.on('error', fail);
    zip.on('end', () => done(entries));
    zip.on('entry', (entry: Entry) => {
      if (entries.has(entry.fileName) || entries.size >= MOST_ENTRIES)
        fail(unreadable('file', entry.fileName, `each file once, at most ${MOST_ENTRIES}`));
      else {
        entries.set(entry.fileName, entry);
        zip.readEntry();
      }
    });
    zip.readEntry();
  });
}
