import { DAY_MS } from '@orthokin/core/stats';
import {
  filmFile,
  filmsOf,
  keepFilm,
  keepInPieces,
  keepUntil,
  keptFilms,
  letGo,
  NoRoom,
  roomLeft,
  setAngle,
} from '../src/device/film-store.js';
import { privateFiles } from './support/private-files.js';

const OF = { clubId: 'club', setId: 'set' };
const OF_PATTERN = { clubId: 'club', patternId: 'pattern' };
const filmOf = (text: string, name = 'film.mp4') => new File([text], name, { type: 'video/mp4' });
const textOf = async (id: string) => (await filmFile(id))?.text();

beforeAll(privateFiles.install);
beforeEach(() => {
  privateFiles.clear();
});
afterEach(() => jest.useRealTimers());

/** The clock alone: what is promised is kept at once. */
const at = (now: number) => jest.useFakeTimers({ now, doNotFake: ['nextTick', 'queueMicrotask'] });

describe('a film that is kept', () => {
  test('is there as it was, under its own name', async () => {
    const id = await keepFilm(OF, filmOf('frames'));
    const film = await filmFile(id);
    expect([film?.name, film?.type, await film?.text()]).toEqual([
      'film.mp4',
      'video/mp4',
      'frames',
    ]);
    expect(await keptFilms('club')).toMatchObject([
      { id, ...OF, name: 'film.mp4', bytes: 6, keptUntil: null, angle: null },
    ]);
  });

  test('is kept once, however often it is brought in', async () => {
    const id = await keepFilm(OF, filmOf('frames'));
    expect(await keepFilm(OF, filmOf('frames'))).toBe(id);
    expect(await keepFilm(OF, filmOf('other frames'))).not.toBe(id);
    expect(await keptFilms('club')).toHaveLength(2);
  });

  test('is of its set, or of its pattern, and of its club', async () => {
    const ofSet = await keepFilm(OF, filmOf('set'));
    const ofPattern = await keepFilm(OF_PATTERN, filmOf('pattern'));
    await keepFilm({ clubId: 'other', setId: 'another' }, filmOf('elsewhere'));
    const ids = async (films: Promise<readonly { id: string }[]>) =>
      (await films).map(({ id }) => id);
    expect(await ids(filmsOf(OF))).toEqual([ofSet]);
    expect(await ids(filmsOf(OF_PATTERN))).toEqual([ofPattern]);
    expect(new Set(await ids(keptFilms('club')))).toEqual(new Set([ofSet, ofPattern]));
  });

  test('says from where it was taken, and goes when it is deleted', async () => {
    const id = await keepFilm(OF, filmOf('frames'));
    await setAngle(id, 'side');
    expect(await filmsOf(OF)).toMatchObject([{ angle: 'side' }]);
    await setAngle(id, null);
    expect(await filmsOf(OF)).toMatchObject([{ angle: null }]);
    await letGo(id);
    expect(await filmsOf(OF)).toEqual([]);
    expect(await filmFile(id)).toBeNull();
  });

  test('is let go when its time is over, whoever looks', async () => {
    const now = Date.now();
    at(now);
    const id = await keepFilm(OF, filmOf('frames'));
    await keepUntil(id, now + DAY_MS);
    at(now + DAY_MS - 1);
    expect(await keptFilms('another club')).toEqual([]);
    expect(await textOf(id)).toBe('frames');
    at(now + DAY_MS + 1);
    expect(await keptFilms('another club')).toEqual([]);
    expect(await filmFile(id)).toBeNull();
  });
});

describe('where there is no room', () => {
  test('a film is refused before any of it is written, with what it needs and what is left', async () => {
    privateFiles.clear(50_000_004);
    expect(await roomLeft()).toBe(4);
    const refused = await keepFilm(OF, filmOf('frames')).catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(NoRoom);
    expect(refused).toMatchObject({ needed: 6, left: 4 });
    expect(await keptFilms('club')).toEqual([]);
  });

  test('one that fails half way leaves nothing behind', async () => {
    privateFiles.fill(true);
    await expect(keepFilm(OF, filmOf('frames'))).rejects.toThrow('QuotaExceeded');
    privateFiles.fill(false);
    expect(await keptFilms('club')).toEqual([]);
  });
});

describe('a film that is kept piece by piece', () => {
  test('is whole at its end, in the order it was filmed', async () => {
    const film = keepInPieces(OF, 'filmed.webm', 'video/webm');
    for (const piece of ['one ', 'two ', 'three']) film.add(new Blob([piece]));
    const { film: whole, id } = await film.end();
    expect(await whole.text()).toBe('one two three');
    expect(await textOf(id ?? '')).toBe('one two three');
  });

  test('is there as far as it came where its page dies', async () => {
    const film = keepInPieces(OF, 'filmed.webm', 'video/webm');
    film.add(new Blob(['one ']));
    film.add(new Blob(['two']));
    // Nobody ends it.
    await new Promise((done) => setTimeout(done, 20));
    const [kept] = await filmsOf(OF);
    expect(await textOf(kept?.id ?? '')).toBe('one two');
  });

  test('is handed over whole where room ran out, and says that it is not all kept', async () => {
    const film = keepInPieces(OF, 'filmed.webm', 'video/webm');
    film.add(new Blob(['one ']));
    await new Promise((done) => setTimeout(done, 20));
    privateFiles.fill(true);
    film.add(new Blob(['two ']));
    film.add(new Blob(['three']));
    const { film: whole, id } = await film.end();
    expect(id).toBeNull();
    expect(await whole.text()).toBe('one two three');
  });

  test('of which nothing came is none', async () => {
    const { film, id } = await keepInPieces(OF, 'filmed.webm', 'video/webm').end();
    expect([film.size, id]).toEqual([0, null]);
    expect(await keptFilms('club')).toEqual([]);
  });
});

test('a copy that was broken off is no film, and is let go after a day', async () => {
  const now = Date.now();
  const id = await keepFilm(OF, filmOf('frames'));
  const folder = await navigator.storage.getDirectory();
  const own = await (await folder.getDirectoryHandle('film')).getDirectoryHandle(id);
  const about = await own.getFileHandle('about.json');
  const writable = await about.createWritable();
  const said = JSON.stringify({ ...OF, name: 'film.mp4', keptAt: now, isPart: true });
  await writable.write(new Blob([said]));
  await writable.close();
  expect(await keptFilms('club')).toEqual([]);
  expect(await filmFile(id)).toBeNull();
  at(now + DAY_MS + 1);
  await keptFilms('club');
  const left: string[] = [];
  for await (const name of (await folder.getDirectoryHandle('film')).keys()) left.push(name);
  expect(left).toEqual([]);
});
