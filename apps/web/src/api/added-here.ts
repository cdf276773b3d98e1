import type {
  AthleteBody,
  AthleteCareReply,
  AthleteReply,
  DrillSetupReply,
  LadderReply,
  PersonReply,
  SquadLineReply,
} from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import { rungOf } from '@orthokin/core/pattern';
import { ageBandOn, laidFor, ownBuild } from '@orthokin/core/people';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import type { QueryClient } from '@tanstack/react-query';
import { keepReply, keptReply } from '../device/kept-replies.js';
import { localDay } from '../device/local-day.js';
import { keys } from './keys.js';

const byName = (one: { readonly name: string }, other: { readonly name: string }): number =>
  one.name.localeCompare(other.name);

/** Puts a row into a list that was put aside, in the place of the one it is of. */
async function amendKept<Row>(path: string, row: Row, idOf: (row: Row) => string): Promise<Row[]> {
  const kept = await keptReply(path);
  const rows = (kept?.reply as readonly Row[] | undefined) ?? [];
  const amended = [...rows.filter((each) => idOf(each) !== idOf(row)), row];
  if (kept) await keepReply(path, amended, kept.at);
  return amended;
}

/**
 * Shows somebody who was added, or changed, while nobody answers, where pages look for them; with the
 * pattern they begin on put aside a drill can be run with them.
 */
export async function showAddedHere(
  client: QueryClient,
  clubId: string,
  athleteId: string,
  body: AthleteBody,
): Promise<void> {
  const person: PersonReply = {
    ...body,
    ...{ id: athleteId, archived: false, changes: body.revision ?? 1 },
    ageBand: body.bornOn ? ageBandOn(body.bornOn, localDay(new Date())) : body.ageBand,
  };
  const people = await amendKept(pathOf(ROUTES.people, { clubId }), person, ({ id }) => id);
  client.setQueryData<PersonReply[]>(keys.people(clubId), people.sort(byName));
  const ladder = (await keptReply(pathOf(ROUTES.ladder, { clubId, patternId: body.patternId })))
    ?.reply as LadderReply | undefined;
  if (ladder) await showOnPattern(client, clubId, person, ladder);
}

async function showOnPattern(
  client: QueryClient,
  clubId: string,
  person: PersonReply,
  { pattern, settings }: LadderReply,
): Promise<void> {
  const { id: athleteId } = person;
  const squadPath = pathOf(ROUTES.squad, { clubId });
  const known = ((await keptReply(squadPath))?.reply as SquadLineReply[] | undefined)?.find(
    ({ athlete }) => athlete.id === athleteId,
  );
  const line = known ? { ...known, athlete: athleteIn(person) } : newLine(person, pattern);
  const squad = await amendKept<SquadLineReply>(squadPath, line, ({ athlete }) => athlete.id);
  squad.sort((one, other) => byName(one.athlete, other.athlete));
  client.setQueryData<SquadLineReply[]>(keys.squad(clubId), squad);
  if (known) return;
  const care: AthleteCareReply = {
    ...{ said: [], bornOn: person.bornOn ?? null, emergency: person.emergency ?? null },
    ...{ faultsLately: [], lastDay: null },
  };
  await keepReply(pathOf(ROUTES.athleteCare, { clubId, athleteId }), care);
  const { build, from, held } = ownBuild(bodyOf(person), pattern);
  const setup: DrillSetupReply = {
    athlete: athleteIn(person),
    pattern: { ...pattern, ...laidFor(pattern, build) },
    worksOn: { id: pattern.id, name: pattern.name },
    ...{
      care,
      watched: person.watched ?? [],
      built: { ...from, held },
      ownLimits: [],
      ladder: settings,
    },
    ...{ rung: 1, usualMs: {}, sessionsBefore: 0, simulated: TYPICAL_ATHLETE },
  };
  await keepReply(pathOf(ROUTES.drillSetup, { clubId, athleteId }), setup);
}

const bodyOf = ({ heightM = null, shoulderM = null, reachM = null, reaches }: PersonReply) => ({
  ...{ heightM, shoulderM, reachM, reaches: reaches ?? null },
});

const athleteIn = ({
  id,
  name,
  hand,
  ageBand,
  colourVision,
  note = null,
}: PersonReply): AthleteReply => ({ id, name, hand, ageBand, colourVision, note });

const newLine = (person: PersonReply, pattern: LadderReply['pattern']): SquadLineReply => ({
  athlete: athleteIn(person),
  ...{ patternId: pattern.id, patternName: pattern.name, rung: 1, rungs: pattern.rungs.length },
  ...{ rungName: rungOf(pattern, 1)?.name ?? '', restricted: false, lastSet: null, course: null },
  need: 'not timed yet',
  claims: { change: null, slowerSide: null, isNewLean: false, isStuck: false },
});
