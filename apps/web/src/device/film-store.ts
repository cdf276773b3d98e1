import { DAY_MS } from '@orthokin/core/stats';

/** Camera positions, as stated by whoever films. */
export const FILM_ANGLES = ['front', 'side', 'behind', 'above'] as const;
export type FilmAngle = (typeof FILM_ANGLES)[number];

/** What a film shows: a set, or a pattern. */
export interface FilmOf {
  readonly clubId: string;
  readonly setId?: string | undefined;
  readonly patternId?: string | undefined;
}

/** A film on this device. */
export interface KeptFilm extends FilmOf {
  readonly id: string;
  readonly name: string;
  readonly bytes: number;
  /** Epoch ms. */
  readonly keptAt: number;
  /** Epoch ms after which it is deleted; `null`: kept until somebody deletes it. */
  readonly keptUntil: number | null;
  /** `null` if unknown. */
  readonly angle: FilmAngle | null;
}

/** A film's metadata file. */
interface About extends FilmOf {
  readonly name: string;
  readonly type?: string;
  readonly keptAt: number;
  readonly keptUntil?: number | null;
  readonly angle?: FilmAngle | null;
  /** Whether it is still being written and not complete. */
  readonly isPart?: boolean;
}

const FOLDER = 'film';
const ABOUT = 'about.json';
/** Name of a film's file, or of the first of its pieces. */
const FILE = 'film';
const pieceName = (n: number): string => `${FILE}-${String(n).padStart(6, '0')}`;
/** An incomplete film not written to for this long was cut off, ms. */
const BROKEN_OFF_MS = DAY_MS;

const folder = async (): Promise<FileSystemDirectoryHandle> =>
  (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });

const folderOf = async (id: string, create = false): Promise<FileSystemDirectoryHandle> =>
  (await folder()).getDirectoryHandle(id, { create });

async function write(into: FileSystemDirectoryHandle, name: string, what: Blob): Promise<void> {
  const file = await into.getFileHandle(name, { create: true });
  const stream = await file.createWritable();
  await stream.write(what);
  await stream.close();
}

const writeAbout = (own: FileSystemDirectoryHandle, about: About): Promise<void> =>
  write(own, ABOUT, new Blob([JSON.stringify(about)]));

const aboutOf = async (own: FileSystemDirectoryHandle): Promise<About> =>
  JSON.parse(await (await (await own.getFileHandle(ABOUT)).getFile()).text()) as About;

/** There is no room for a film; contains the bytes needed and left. */
export class NoRoom extends Error {
  constructor(
    readonly needed: number,
    readonly left: number,
  ) {
    super('no room');
  }
}

/** Never filled: a browser that is nearly full becomes slow. */
const SPARE_BYTES = 50_000_000;

/** Room left for films, bytes. */
export async function roomLeft(): Promise<number> {
  const { quota = 0, usage = 0 } = await navigator.storage.estimate();
  return Math.max(0, quota - usage - SPARE_BYTES);
}

/**
 * Stores a film in the browser's private file system. The same film is not stored twice.
 * @returns its id
 */
export async function keepFilm(of: FilmOf, film: File): Promise<string> {
  const same = (await filmsOf(of)).find(
    ({ name, bytes }) => name === film.name && bytes === film.size,
  );
  if (same) return same.id;
  const left = await roomLeft();
  if (film.size > left) throw new NoRoom(film.size, left);
  const id = crypto.randomUUID();
  const own = await folderOf(id, true);
  const about: About = { ...of, name: film.name, type: film.type, keptAt: Date.now() };
  try {
    await writeAbout(own, { ...about, isPart: true });
    await write(own, FILE, film);
    await writeAbout(own, about);
  } catch (error) {
    await letGo(id);
    throw error;
  }
  return id;
}

/** A film stored piece by piece while it is recorded, so that it survives if the page dies. */
export interface FilmInPieces {
  readonly add: (piece: Blob) => void;
  /** The whole film and its id; the id is `null` if there was no room for all of it. */
  readonly end: () => Promise<{ readonly film: File; readonly id: string | null }>;
}

/** Begins to store a film that is being recorded. */
export function keepInPieces(of: FilmOf, name: string, type: string): FilmInPieces {
  const id = crypto.randomUUID();
  const about: About = { ...of, name, type, keptAt: Date.now() };
  let count = 0;
  /** Pieces there was no room for, and all later ones. */
  const left: Blob[] = [];
  const keep = async (piece: Blob): Promise<void> => {
    const own = await folderOf(id, true);
    if (count === 0) await writeAbout(own, about);
    await write(own, pieceName(count), piece);
    count++;
  };
  let written = Promise.resolve();
  return {
    add: (piece) => {
      written = written.then(async () => {
        if (left.length === 0) await keep(piece).catch(() => left.push(piece));
        else left.push(piece);
      });
    },
    end: async () => {
      await written;
      const stored = count === 0 ? [] : await piecesIn(await folderOf(id));
      const film = new File([...stored, ...left], name, { type });
      return { film, id: left.length === 0 && count > 0 ? id : null };
    },
  };
}

async function piecesIn(own: FileSystemDirectoryHandle): Promise<File[]> {
  const names: string[] = [];
  for await (const name of own.keys()) if (name.startsWith(FILE)) names.push(name);
  return Promise.all(names.sort().map(async (name) => (await own.getFileHandle(name)).getFile()));
}

const isOver = ({ keptUntil = null, keptAt, isPart = false }: About): boolean =>
  isPart ? keptAt + BROKEN_OFF_MS < Date.now() : keptUntil !== null && keptUntil < Date.now();

async function change(id: string, what: Pick<About, 'keptUntil'> | Pick<About, 'angle'>) {
  const own = await folderOf(id);
  await writeAbout(own, { ...(await aboutOf(own)), ...what });
}

/** Sets until when to keep a film, epoch ms; `null`: until it is deleted. */
export const keepUntil = (id: string, keptUntil: number | null): Promise<void> =>
  change(id, { keptUntil });

/** Sets a film's camera position. */
export const setAngle = (id: string, angle: FilmAngle | null): Promise<void> =>
  change(id, { angle });

/** A stored film; `null` if it is gone. */
export async function filmFile(id: string): Promise<File | null> {
  try {
    const own = await folderOf(id);
    const about = await aboutOf(own);
    const pieces = await piecesIn(own);
    if (about.isPart || pieces.length === 0) return null;
    return new File(pieces, about.name, { type: about.type ?? '', lastModified: about.keptAt });
  } catch {
    return null;
  }
}

/** All films on this device, newest first; deletes those whose time is over, whichever club they belong to. */
async function allFilms(): Promise<KeptFilm[]> {
  const films: KeptFilm[] = [];
  for await (const own of (await folder()).values()) {
    if (!(own instanceof FileSystemDirectoryHandle)) continue;
    try {
      const about = await aboutOf(own);
      if (isOver(about)) await letGo(own.name);
      else if (!about.isPart) {
        const bytes = (await piecesIn(own)).reduce((sum, { size }) => sum + size, 0);
        const { clubId, setId, patternId, name, keptAt, keptUntil = null, angle = null } = about;
        films.push({
          ...{ id: own.name, clubId, setId, patternId, name, bytes, keptAt, keptUntil, angle },
        });
      }
    } catch {
      // Without metadata nobody can tell what it shows.
      await letGo(own.name);
    }
  }
  return films.sort((a, b) => b.keptAt - a.keptAt);
}

/** A club's films on this device, newest first. */
export const keptFilms = async (clubId: string): Promise<KeptFilm[]> =>
  (await allFilms()).filter((film) => film.clubId === clubId);

/** The films of a set or a pattern, newest first. */
export const filmsOf = async ({ setId, patternId }: FilmOf): Promise<KeptFilm[]> =>
  (await allFilms()).filter((film) => film.setId === setId && film.patternId === patternId);

/** Deletes a film for good. */
export const letGo = async (id: string): Promise<void> =>
  (await folder()).removeEntry(id, { recursive: true });
