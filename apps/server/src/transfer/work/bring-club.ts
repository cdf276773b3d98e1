import { Readable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import {
  ForeignKeyConstraintViolationException,
  UniqueConstraintViolationException,
  type EntityManager,
} from '@mikro-orm/postgresql';
import {
  ClubFileHead,
  validationProblems,
  type ClubList,
  type ClubReply,
  type InList,
} from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { Club } from '../../domains/clubs/club.entity.js';
import type { ClubPart, Gathering } from '../../domains/club-part.js';
import { ReplacingEachOther } from '../../domains/drills/gathered.js';
import { withinClub } from '../../platform/auth/scope.js';
import { MOST_PROBLEMS, shapeProblems } from '../../platform/http/shape.js';
import { CLUB_LIST_NAMES, CLUB_PARTS } from '../parts.js';
import { checkRow } from './check-row.js';
import { Unpacked, Unreadable, unreadable } from './unpack.js';

export const CLUB_JSON = 'club.json';
export const linesOf = (list: ClubList): string => `${list}.jsonl`;

/** The largest club.json; in version 1 it contained all lists. */
const MOST_JSON = 48 * 2 ** 20;
/** Rows per insert. */
const AT_ONCE = 1000;
/** Inserts in flight: one runs while the next already waits, so that the database is never idle. */
const MOST_UNDER_WAY = 2;
/** Yields to the event loop after so many rows. */
const PAUSE_AFTER = 50;

/** A row, and the JSON it was parsed from; `null` where it was part of a larger one. */
interface GivenRow {
  readonly row: unknown;
  readonly json: string | null;
}

/** Rows in batches: awaiting each of a hundred thousand takes as long as parsing them. */
type RowsAtOnce = AsyncIterable<Iterable<GivenRow>>;

/** Imports a club that does not exist here, in one transaction. */
export async function bringClub(em: EntityManager, path: string): Promise<ClubReply> {
  const zip = await Unpacked.open(path);
  try {
    const whole = parsed(await zip.text(CLUB_JSON, MOST_JSON), CLUB_JSON);
    const { head, lists } = split(whole);
    const { clubId, name, sport, unit, faults } = head.club;
    const club: ClubReply = {
      ...{ clubId, name, sport: sport ?? '', unit: unit ?? 'metres' },
      faults: faults ?? [],
    };
    const rowsOf = (list: ClubList): RowsAtOnce =>
      head.version === 1
        ? Readable.from([listIn(lists, list).map((row): GivenRow => ({ row, json: null }))])
        : rowsIn(zip, list);
    await withinClub(clubId, async () => {
      await em.transactional(async (tx) => {
        if (await tx.findOne(Club, { clubId })) throw alreadyHere(clubId);
        try {
          await tx.insert(Club, club);
        } catch (error) {
          // Somebody else imported it meanwhile.
          if (error instanceof UniqueConstraintViolationException) throw alreadyHere(clubId);
          throw error;
        }
        const known = new Known();
        for (const list of CLUB_LIST_NAMES)
          await bringList(tx, clubId, CLUB_PARTS[list], rowsOf(list), known);
      });
      await em.execute('select know_tables_anew(?)', [clubId]);
    });
    return club;
  } finally {
    zip.close();
  }
}

const alreadyHere = (clubId: string): Unreadable =>
  new Unreadable(
    unreadable('club.clubId', clubId, 'a club that is not here: wipe this one first').problems,
    409,
  );

async function bringList(
  em: EntityManager,
  clubId: string,
  part: ClubPart<ClubList>,
  rows: RowsAtOnce,
  known: Known,
): Promise<void> {
  const gather = part.gather ?? (() => new GatheredRows(part));
  let waiting = gather();
  let at = 0;
  const store = async (some: Gathering<InList<ClubList>>) => {
    try {
      await some.store(em, clubId);
    } catch (error) {
      if (error instanceof ReplacingEachOther)
        throw unreadable('reps.replaces', error.repId, 'reps that do not replace each other');
      if (error instanceof ForeignKeyConstraintViolationException)
        throw unreadable(
          part.list,
          'a row that names one that is not there',
          'rows after those they name',
        );
      throw error;
    }
  };
  // Rows are validated while the database inserts those before them.
  const underWay: Promise<void>[] = [];
  const storeNext = async () => {
    const some = waiting;
    const stored = (underWay.at(-1) ?? Promise.resolve()).then(() => store(some));
    // The error surfaces where this promise is awaited; until then it must not count as unhandled.
    stored.catch(() => undefined);
    underWay.push(stored);
    waiting = gather();
    if (underWay.length > MOST_UNDER_WAY) await underWay.shift();
  };
  const take = (given: GivenRow): void => {
    const where = `${part.list}[${at++}]`;
    const row = checkRow(part.list, given.row, given.json);
    if (isProblems(row))
      throw new Unreadable(
        row.slice(0, MOST_PROBLEMS).map((problem) => ({
          ...problem,
          field: `${where}.${problem.field}`,
        })),
      );
    known.check(part, row, where);
    waiting.add(row, given.json);
  };
  try {
    for await (const some of rows)
      for (const given of some) {
        take(given);
        if (at % AT_ONCE === 0) await storeNext();
        // Yields, so that the database's answer is handled and the next insert sent while rows are being validated.
        if (at % PAUSE_AFTER === 0) await setImmediate();
      }
    await storeNext();
    await Promise.all(underWay);
  } finally {
    // An invalid row aborts the transaction; an insert still queued would then run outside it.
    await Promise.allSettled(underWay);
  }
}

/** Rows of a list that is never long. */
class GatheredRows implements Gathering<InList<ClubList>> {
  private readonly rows: InList<ClubList>[] = [];

  constructor(private readonly part: ClubPart<ClubList>) {}

  add(row: InList<ClubList>): void {
    this.rows.push(row);
  }

  store(em: EntityManager, clubId: string): Promise<void> {
    return this.part.bring(em, clubId, this.rows);
  }
}

const isProblems = (row: object): row is Unreadable['problems'] => Array.isArray(row);

/** Ids imported so far, for checking references to them. */
class Known {
  private readonly ids = new Map<ClubList, Set<string>>();
  /** Each pattern version's body, for its rungs. */
  private readonly versions = new Map<string, InList<'patterns'>['versions'][number]['body']>();

  check(part: ClubPart<ClubList>, row: InList<ClubList>, where: string): void {
    const { id } = row;
    const own = this.ids.get(part.list) ?? new Set();
    this.ids.set(part.list, own);
    if (own.has(id)) throw unreadable(`${where}.id`, id, 'an id that no other has');
    own.add(id);
    for (const [field, list] of Object.entries(part.names)) {
      const named: unknown = Reflect.get(row, field) ?? null;
      // A correction may come before the rep it replaces; the foreign key checks that the rep exists.
      if (named === null || list === part.list) continue;
      if (typeof named !== 'string' || !this.ids.get(list)?.has(named))
        throw unreadable(`${where}.${field}`, named, 'an id that is in the file');
    }
    if (part.list === 'patterns')
      for (const { version, body } of (row as InList<'patterns'>).versions)
        this.versions.set(`${id} ${version}`, body);
    if (part.list === 'sets') this.checkSet(row as InList<'sets'>, where);
  }

  private checkSet({ patternId, patternVersion, rung }: InList<'sets'>, where: string): void {
    const body = this.versions.get(`${patternId} ${patternVersion}`);
    if (!body)
      throw unreadable(`${where}.patternVersion`, patternVersion, 'a version that is in the file');
    if (!rungOf(body, rung)) throw unreadable(`${where}.rung`, rung, `1 to ${body.rungs.length}`);
  }
}

function parsed(text: string, field: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw unreadable(field, 'what cannot be read', 'JSON');
  }
}

async function* rowsIn(zip: Unpacked, list: ClubList): RowsAtOnce {
  const name = linesOf(list);
  if (!zip.has(name)) return;
  let line = 0;
  function* rows(lines: readonly string[]): Iterable<GivenRow> {
    for (const json of lines) yield { row: parsed(json, `${name}, line ${++line}`), json };
  }
  for await (const lines of zip.lines(name)) yield rows(lines);
}

/** Splits a version-1 file into its head and its lists. */
function split(whole: unknown): { head: ClubFileHead; lists: object } {
  if (typeof whole !== 'object' || whole === null || Array.isArray(whole))
    throw unreadable(CLUB_JSON, typeof whole, 'an object');
  const isList = (name: string) => (CLUB_LIST_NAMES as readonly string[]).includes(name);
  const entries = Object.entries(whole);
  const given = Object.fromEntries(entries.filter(([name]) => !isList(name)));
  const problems = shapeProblems(ClubFileHead, given);
  if (problems.length > 0) throw new Unreadable(problems);
  const head = plainToInstance(ClubFileHead, given);
  const errors = validateSync(head, { whitelist: true, forbidNonWhitelisted: true });
  if (errors.length > 0) throw new Unreadable(validationProblems(errors));
  return { head, lists: Object.fromEntries(entries.filter(([name]) => isList(name))) };
}

function listIn(lists: object, list: ClubList): unknown[] {
  const rows: unknown = new Map<string, unknown>(Object.entries(lists)).get(list) ?? [];
  if (!Array.isArray(rows)) throw unreadable(list, typeof rows, 'a list');
  return rows as unknown[];
}
