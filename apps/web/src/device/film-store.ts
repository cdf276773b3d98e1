import { DAY_MS } from '@orthokin/core/stats';

/** From where a film was taken, as whoever films says. */
export const FILM_ANGLES = ['front', 'side', 'behind', 'above'] as const;
export type FilmAngle = (typeof FILM_ANGLES)[number];

/** What a film is of: a set of a club's, or one of its patterns. */
export interface FilmOf {
  readonly clubId: string;
  readonly setId?: string | undefined;
  readonly patternId?: string | undefined;
}

/** A film that is kept on this device. */
export interface KeptFilm extends FilmOf {
  readonly id: string;
  readonly name: string;
  readonly bytes: number;
  /** Epoch ms. */
  readonly keptAt: number;
  /** Epoch ms after which it is let go; until somebody deletes it where `null`. */
  readonly keptUntil: number | null;
  /** `null` where nobody said. */
  readonly angle: FilmAngle | null;
}

/** What is written beside a film. */
interface About extends FilmOf {
  readonly name: string;
  readonly type?: string;
  readonly keptAt: number;
  readonly keptUntil?: number | null;
  readonly angle?: FilmAngle | null;
  /** It is being written; what there is of it is no film yet. */
  readonly isPart?: boolean;
}

const FOLDER = 'film';
const ABOUT = 'about.json';
/** A film in one, or the first of its pieces in the order they were filmed. */
const FILE = 'film';
const pieceName = (n: number): string => `${FILE}-${String(n).padStart(6, '0')}`;
/** Nobody writes at a film for so long: it was broken off, ms. */
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

/** Keeps a film in the browser's private files and gives its id; kept already, it is not kept twice. */
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

/** A film that is kept as it is taken, piece by piece: what was filmed is there if the page dies. */
export interface FilmInPieces {
  readonly add: (piece: Blob) => void;
  /** The whole film, with the id it is kept by; `null` where there was no room for all of it. */
  readonly end: () => Promise<{ readonly film: File; readonly id: string | null }>;
}

/** Begins to keep a film of which the pieces are still to come. */
export function keepInPieces(of: FilmOf, name: string, type: string): FilmInPieces {
  const id = crypto.randomUUID();
  const about: About = { ...of, name, type, keptAt: Date.now() };
  let count = 0;
  /** Pieces that found no room, and all that came after them. */
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

/** Keeps a film until a moment, epoch ms; `null`: until it is deleted. */
export const keepUntil = (id: string, keptUntil: number | null): Promise<void> =>
  change(id, { keptUntil });

/** Writes down from where a film was taken. */
export const setAngle = (id: string, angle: FilmAngle | null): Promise<void> =>
  change(id, { angle });

/** A film that is kept; `null` where it is not, or no longer. */
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

/** Every film on this device, the newest first; those kept long enough are let go, whosever they are. */
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
      // What it is was never written down: there is nothing to show of it.
      await letGo(own.name);
    }
  }
  return films.sort((a, b) => b.keptAt - a.keptAt);
}

/** Every film of a club that is kept, the newest first; another club's is none of its business. */
export const keptFilms = async (clubId: string): Promise<KeptFilm[]> =>
  (await allFilms()).filter((film) => film.clubId === clubId);

/** Every film of a set, or of a pattern, the newest first. */
export const filmsOf = async ({ setId, patternId }: FilmOf): Promise<KeptFilm[]> =>
  (await allFilms()).filter((film) => film.setId === setId && film.patternId === patternId);

/** Takes a film off the device for good. */
export const letGo = async (id: string): Promise<void> =>
  (await folder()).removeEntry(id, { recursive: true });
