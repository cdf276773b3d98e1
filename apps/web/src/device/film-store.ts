/** A film that is kept on this device. */
export interface KeptFilm {
  readonly clubId: string;
  readonly setId: string;
  readonly name: string;
  readonly bytes: number;
  /** Epoch ms. */
  readonly keptAt: number;
  /** Epoch ms after which it is let go; until somebody deletes it where absent. */
  readonly keptUntil?: number | null;
}

const FOLDER = 'film';
const ABOUT = 'about.json';
const FILE = 'film';

const folder = async (): Promise<FileSystemDirectoryHandle> =>
  (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });

async function write(into: FileSystemDirectoryHandle, name: string, what: Blob): Promise<void> {
  const file = await into.getFileHandle(name, { create: true });
  const stream = await file.createWritable();
  await stream.write(what);
  await stream.close();
}

/** There is no room for a film: what it needs and what is left, bytes. */
export class NoRoom extends Error {
  constructor(
    readonly needed: number,
    readonly left: number,
  ) {
    super('no room');
  }
}

/** Kept apart from the film: a browser that is nearly full slows everything down. */
const SPARE_BYTES = 50_000_000;

/** Room left for films, bytes. */
export async function roomLeft(): Promise<number> {
  const { quota = 0, usage = 0 } = await navigator.storage.estimate();
  return Math.max(0, quota - usage - SPARE_BYTES);
}

/** Keeps a film of a set in the browser's private files, in place of one kept before. */
export async function keepFilm(
  { clubId, setId }: Pick<KeptFilm, 'clubId' | 'setId'>,
  film: File,
): Promise<void> {
  const left = await roomLeft();
  if (film.size > left) throw new NoRoom(film.size, left);
  const own = await (await folder()).getDirectoryHandle(setId, { create: true });
  await write(own, FILE, film);
  const about: KeptFilm = {
    ...{ clubId, setId, name: film.name, bytes: film.size },
    keptAt: Date.now(),
  };
  await write(own, ABOUT, new Blob([JSON.stringify(about)]));
}

const aboutOf = async (own: FileSystemDirectoryHandle): Promise<KeptFilm> =>
  JSON.parse(await (await (await own.getFileHandle(ABOUT)).getFile()).text()) as KeptFilm;

const isOver = ({ keptUntil }: KeptFilm): boolean =>
  typeof keptUntil === 'number' && keptUntil < Date.now();

/** Keeps a film until a moment, epoch ms; `null`: until it is deleted. */
export async function keepUntil(setId: string, keptUntil: number | null): Promise<void> {
  const own = await (await folder()).getDirectoryHandle(setId);
  const about: KeptFilm = { ...(await aboutOf(own)), keptUntil };
  await write(own, ABOUT, new Blob([JSON.stringify(about)]));
}

/** The film of a set; `null` where none is kept. */
export async function filmOf(setId: string): Promise<File | null> {
  try {
    const own = await (await folder()).getDirectoryHandle(setId);
    if (isOver(await aboutOf(own))) {
      await letGo(setId);
      return null;
    }
    return await (await own.getFileHandle(FILE)).getFile();
  } catch {
    return null;
  }
}

/**
 * Every film of a club that is kept, the newest first; another club's is none of its business. Those
 * kept long enough are let go, whosever they are.
 */
export async function keptFilms(clubId: string): Promise<KeptFilm[]> {
  const films: KeptFilm[] = [];
  for await (const own of (await folder()).values()) {
    if (!(own instanceof FileSystemDirectoryHandle)) continue;
    try {
      const about = await aboutOf(own);
      if (isOver(about)) await letGo(own.name);
      else films.push(about);
    } catch {
      // Broken off while it was being written: there is nothing to show of it.
      await (await folder()).removeEntry(own.name, { recursive: true });
    }
  }
  return films.filter((film) => film.clubId === clubId).sort((a, b) => b.keptAt - a.keptAt);
}

/** Takes a film off the device for good. */
export const letGo = async (setId: string): Promise<void> =>
  (await folder()).removeEntry(setId, { recursive: true });
