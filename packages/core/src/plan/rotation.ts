import type { HelperRole, Stay } from './block.js';

/** A station in a round: who works and who helps. */
export interface StationTurn {
  readonly works: string;
  readonly helps: readonly { readonly athleteId: string; readonly role: HelperRole }[];
}

/** A round: all stations for one set, s from the start of the block. */
export interface Round {
  readonly fromS: number;
  readonly toS: number;
  /** `null` for a station where nobody works. */
  readonly stations: readonly (StationTurn | null)[];
  /** Who neither works nor helps. */
  readonly rests: readonly string[];
}

/** The input of a rotation. */
export interface Rotated {
  readonly athleteIds: readonly string[];
  readonly stations: number;
  /** Sets per athlete. */
  readonly sets: number;
  readonly workS: number;
  /** Least rest of an athlete between two sets, s. */
  readonly restS: number;
  readonly helpers: readonly HelperRole[];
  /** Who stays at which station; without entries everybody goes where there is room. */
  readonly stays?: readonly Stay[] | null;
}

/**
 * The athletes of each station, if assigned: unassigned ones go where there are fewest. `null` without assignments.
 */
export function stationGroups({
  athleteIds,
  stations,
  stays,
}: Pick<Rotated, 'athleteIds' | 'stations' | 'stays'>): string[][] | null {
  const of = new Map(stays?.map(({ athleteId, station }) => [athleteId, station]));
  if (of.size === 0) return null;
  const groups = Array.from({ length: stations }, (_, i) =>
    athleteIds.filter((id) => of.get(id) === i + 1),
  );
  const placed = new Set(groups.flat());
  for (const id of athleteIds) {
    if (placed.has(id)) continue;
    const [fewest] = [...groups].sort((one, other) => one.length - other.length);
    fewest?.push(id);
  }
  return groups;
}

/** Distributes athletes over stations as evenly as possible, in order: sorted by rung, similar ones are together. */
export const overStations = (athleteIds: readonly string[], stations: number): Stay[] =>
  athleteIds.map((athleteId, i) => ({
    athleteId,
    station: 1 + Math.floor((i * stations) / athleteIds.length),
  }));

/** An athlete's state during a rotation. */
interface Person {
  readonly id: string;
  readonly place: number;
  /** Sets still to come. */
  left: number;
  readyAtS: number;
  /** When they last worked; −∞ if never. */
  workedAtS: number;
  helped: number;
  readonly roles: Map<HelperRole, number>;
  readonly with: Map<string, number>;
}

const countIn = <Key>(counts: Map<Key, number>, key: Key): number => counts.get(key) ?? 0;
const add = <Key>(counts: Map<Key, number>, key: Key): void =>
  void counts.set(key, countIn(counts, key) + 1);

const helpsIn = ({ stations }: Round, id: string): boolean =>
  stations.some((turn) => turn?.helps.some((one) => one.athleteId === id));

const worksIn = ({ stations }: Round, id: string): boolean =>
  stations.some((turn) => turn?.works === id);

const isIn = (round: Round, id: string): boolean =>
  round.rests.includes(id) || worksIn(round, id) || helpsIn(round, id);

/** Records who helped whom in a round, and in which role. */
function learn(people: ReadonlyMap<string, Person>, { stations }: Round): void {
  for (const turn of stations) {
    if (!turn) continue;
    for (const { athleteId, role } of turn.helps) {
      const helper = people.get(athleteId);
      if (!helper) continue;
      helper.helped += 1;
      add(helper.roles, role);
      add(helper.with, turn.works);
    }
  }
}

function peopleOf(
  { athleteIds, sets, workS, restS }: Rotated,
  done: readonly Round[],
): Map<string, Person> {
  const worked = new Map(
    athleteIds.map((id) => [id, done.filter((round) => worksIn(round, id))] as const),
  );
  const isKnown = (id: string) => done.some((round) => isIn(round, id));
  const counts = athleteIds.filter(isKnown).map((id) => worked.get(id)?.length ?? 0);
  const fewest = counts.length === 0 ? 0 : Math.min(...counts);
  const people = new Map(
    athleteIds.map((id, place): [string, Person] => {
      const own = worked.get(id) ?? [];
      const lastS = own.at(-1)?.fromS ?? -Infinity;
      // Somebody who joins late gets the remaining sets, not those they missed.
      const had = isKnown(id) ? own.length : fewest;
      return [
        id,
        {
          ...{ id, place, left: Math.max(0, sets - had) },
          ...{ workedAtS: lastS, readyAtS: lastS + workS + restS },
          ...{ helped: 0, roles: new Map(), with: new Map() },
        },
      ];
    }),
  );
  for (const round of done) learn(people, round);
  return people;
}

/** Who works next: most sets left first, then longest wait; nobody gets a set ahead of another. */
function nextOf(
  people: readonly Person[],
  chosen: readonly Person[],
  nowS: number,
): Person | undefined {
  const leftOf = (person: Person) => person.left - (chosen.includes(person) ? 1 : 0);
  const most = Math.max(...people.map(leftOf));
  const [next] = people
    .filter(
      (one) => one.left > 0 && one.left >= most && one.readyAtS <= nowS && !chosen.includes(one),
    )
    .sort((a, b) => a.workedAtS - b.workedAtS || a.place - b.place);
  return next;
}

/** Who works at each station in a round. */
function workersAt(stations: readonly (readonly Person[])[], nowS: number): (Person | undefined)[] {
  const chosen: Person[] = [];
  return stations.map((people) => {
    const next = nextOf(people, chosen, nowS);
    if (next) chosen.push(next);
    return next;
  });
}

/** A helper for a role: who had the role least often, helped this partner least often, and helped least. */
function helperFor(free: readonly Person[], role: HelperRole, works: string): Person | undefined {
  const [best] = [...free].sort(
    (a, b) =>
      countIn(a.roles, role) - countIn(b.roles, role) ||
      countIn(a.with, works) - countIn(b.with, works) ||
      a.helped - b.helped ||
      a.place - b.place,
  );
  return best;
}

/**
 * Turns at stations, round by round: everybody gets the same number of sets, nobody is a set ahead or works before
 * they have rested, and helping rotates with changing partners. Assigned athletes rotate within their stations.
 * @param done earlier rounds: after somebody left or joined, the rest is planned anew from their end. Somebody who
 * joins late gets as many sets as are left.
 */
export function rotation(rotated: Rotated, done: readonly Round[] = []): Round[] {
  const people = peopleOf(rotated, done);
  const all = [...people.values()];
  const groups = stationGroups(rotated)?.map((ids) => ids.flatMap((id) => people.get(id) ?? []));
  const of = groups ?? Array.from({ length: rotated.stations }, () => all);
  const rounds: Round[] = [];
  let nowS = done.at(-1)?.toS ?? 0;
  while (all.some(({ left }) => left > 0)) {
    const workers = workersAt(of, nowS);
    if (workers.every((worker) => worker === undefined)) {
      nowS = Math.min(
        ...all.flatMap(({ left, readyAtS }) => (left > 0 && readyAtS > nowS ? readyAtS : [])),
      );
      continue;
    }
    let free = all.filter((one) => !workers.includes(one));
    const stations = workers.map((worker, i): StationTurn | null => {
      if (!worker) return null;
      const helps = rotated.helpers.flatMap((role) => {
        const near = groups ? free.filter((one) => groups[i]?.includes(one)) : free;
        const helper = helperFor(near, role, worker.id);
        if (!helper) return [];
        free = free.filter((one) => one !== helper);
        return [{ athleteId: helper.id, role }];
      });
      return { works: worker.id, helps };
    });
    const toS = nowS + rotated.workS;
    const round = { fromS: nowS, toS, stations, rests: free.map(({ id }) => id) };
    for (const worker of workers) {
      if (!worker) continue;
      worker.left -= 1;
      worker.workedAtS = nowS;
      worker.readyAtS = toS + rotated.restS;
    }
    learn(people, round);
    rounds.push(round);
    nowS = toS;
  }
  return rounds;
}

/** What a rotation means for an athlete. */
export interface Share {
  readonly athleteId: string;
  readonly works: number;
  /** Time working in all sets, s. */
  readonly worksS: number;
  readonly helps: number;
  /** Time neither working nor helping between the first round and the last, s. */
  readonly waitsS: number;
}

/** What a rotation means for each of its athletes. */
export const sharesOf = (rounds: readonly Round[], athleteIds: readonly string[]): Share[] => {
  const [startS, endS] = [rounds[0]?.fromS ?? 0, rounds.at(-1)?.toS ?? 0];
  return athleteIds.map((athleteId) => {
    const works = rounds.filter((round) => worksIn(round, athleteId));
    const helps = rounds.filter((round) => helpsIn(round, athleteId));
    const lasting = (some: readonly Round[]) =>
      some.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
    const worksS = lasting(works);
    const waitsS = endS - startS - worksS - lasting(helps);
    return { athleteId, works: works.length, worksS, helps: helps.length, waitsS };
  });
};
