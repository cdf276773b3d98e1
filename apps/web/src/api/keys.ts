import type { QueryClient } from '@tanstack/react-query';

/** Query keys begin with the club, then name the thing. */
export const keys = {
  me: ['me'] as const,
  passkeys: ['me', 'passkeys'] as const,
  clubs: ['clubs'] as const,
  letIn: (clubId: string) => ['club', clubId, 'let in'] as const,
  accounts: (clubId: string) => ['club', clubId, 'let in', 'accounts'] as const,
  invitations: (clubId: string) => ['club', clubId, 'let in', 'invitations'] as const,
  devices: (clubId: string) => ['club', clubId, 'let in', 'devices'] as const,
  joinedScreens: (clubId: string) => ['club', clubId, 'let in', 'screens'] as const,
  gateways: (clubId: string) => ['club', clubId, 'gateways'] as const,
  club: (clubId: string) => ['club', clubId] as const,
  squad: (clubId: string) => ['club', clubId, 'squad'] as const,
  people: (clubId: string) => ['club', clubId, 'people'] as const,
  privacy: (clubId: string) => ['club', clubId, 'privacy'] as const,
  trail: (clubId: string, athleteId: string) => ['club', clubId, 'trail', athleteId] as const,
  care: (clubId: string, athleteId: string) => ['club', clubId, 'care', athleteId] as const,
  cares: (clubId: string) => ['club', clubId, 'care'] as const,
  faults: (clubId: string) => ['club', clubId, 'faults'] as const,
  groups: (clubId: string) => ['club', clubId, 'groups'] as const,
  plans: (clubId: string) => ['club', clubId, 'plan'] as const,
  plan: (clubId: string, planId: string) => ['club', clubId, 'plan', planId] as const,
  programmes: (clubId: string) => ['club', clubId, 'programmes'] as const,
  heldSessions: (clubId: string) => ['club', clubId, 'held'] as const,
  heldSession: (clubId: string, sessionId: string) => ['club', clubId, 'held', sessionId] as const,
  sessionSets: (clubId: string, sessionId: string) =>
    ['club', clubId, 'held', sessionId, 'sets'] as const,
  sessionNotes: (clubId: string) => ['club', clubId, 'session notes'] as const,
  practice: (clubId: string) => ['club', clubId, 'practice'] as const,
  loads: (clubId: string) => ['club', clubId, 'loads'] as const,
  loadsOn: (clubId: string, day: string) => ['club', clubId, 'loads', day] as const,
  standings: (clubId: string) => ['club', clubId, 'standings'] as const,
  setups: (clubId: string) => ['club', clubId, 'setup'] as const,
  setup: (clubId: string, athleteId: string, patternId: string | null) =>
    ['club', clubId, 'setup', athleteId, patternId] as const,
  course: (clubId: string, athleteId: string) => ['club', clubId, 'course', athleteId] as const,
  athleteReps: (clubId: string, athleteId: string, pool: object | null) =>
    ['club', clubId, 'reps', athleteId, pool] as const,
  reps: (clubId: string) => ['club', clubId, 'reps'] as const,
  courses: (clubId: string) => ['club', clubId, 'course'] as const,
  library: (clubId: string) => ['club', clubId, 'library'] as const,
  newestPattern: (clubId: string, patternId: string) =>
    ['club', clubId, 'newest pattern', patternId] as const,
  pattern: (clubId: string, patternId: string) => ['club', clubId, 'pattern', patternId] as const,
  reviews: (clubId: string) => ['club', clubId, 'review'] as const,
  review: (clubId: string, setId: string) => ['club', clubId, 'review', setId] as const,
  ladders: (clubId: string) => ['club', clubId, 'ladder'] as const,
  ladder: (clubId: string, patternId: string) => ['club', clubId, 'ladder', patternId] as const,
  athleteLadder: (clubId: string, patternId: string, athleteId: string) =>
    ['club', clubId, 'ladder', patternId, athleteId] as const,
};

type Key = readonly unknown[];

const readAgain = (client: QueryClient, of: readonly Key[]): Promise<unknown> =>
  Promise.all(of.map((queryKey) => client.invalidateQueries({ queryKey })));

/** Refreshes what depends on places on ladders and on ladders' settings. */
export const afterLadderChange = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [
    keys.ladders(clubId),
    keys.squad(clubId),
    keys.standings(clubId),
    keys.setups(clubId),
    keys.courses(clubId),
    keys.reviews(clubId),
  ]);

/** Refreshes what depends on sets and reps. */
export const afterSets = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [
    keys.reviews(clubId),
    keys.courses(clubId),
    keys.reps(clubId),
    keys.ladders(clubId),
    keys.squad(clubId),
    keys.standings(clubId),
    keys.setups(clubId),
    keys.library(clubId),
  ]);

/** Refreshes what depends on athletes. */
export const afterPeople = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [
    keys.people(clubId),
    keys.cares(clubId),
    keys.groups(clubId),
    keys.squad(clubId),
    keys.standings(clubId),
    keys.setups(clubId),
    keys.ladders(clubId),
    keys.courses(clubId),
  ]);

/** Refreshes what depends on watched faults. */
export const afterWatching = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [keys.people(clubId), keys.setups(clubId)]);

/** Refreshes what depends on care records. */
export const afterCare = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [keys.cares(clubId), keys.setups(clubId), keys.squad(clubId)]);

/** Refreshes what depends on held sessions. */
export const afterSession = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [keys.heldSessions(clubId), keys.loads(clubId)]);

/** Refreshes what depends on patterns. */
export const afterPattern = (client: QueryClient, clubId: string): Promise<unknown> =>
  readAgain(client, [
    keys.library(clubId),
    keys.squad(clubId),
    keys.standings(clubId),
    keys.setups(clubId),
    keys.ladders(clubId),
  ]);
