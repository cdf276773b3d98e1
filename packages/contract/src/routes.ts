import type {
  AthleteCareReply,
  AthleteCourseReply,
  CareBody,
  CareReply,
  FaultCountReply,
  GroupBody,
  GroupReply,
  HeldSessionBody,
  HeldSessionReply,
  LoadQuery,
  HomePracticeBody,
  HomePracticeReply,
  SessionNoteBody,
  SessionNoteReply,
  SessionSetReply,
  AthleteLadderReply,
  AthleteLoadReply,
  AthleteRepsReply,
  ClubReply,
  DrillSetBody,
  DrillSetReply,
  DrillSetupQuery,
  DrillSetupReply,
  ImportBody,
  ImportReply,
  LadderBody,
  LadderReply,
  MoveEvidenceReply,
  OwnLadderBody,
  PatternBody,
  PatternLineReply,
  PatternReply,
  PoolQuery,
  ArchivedBody,
  AthleteBody,
  AthletesBody,
  ClubBody,
  PersonReply,
  PlanBody,
  PlanReply,
  ProgrammeBody,
  ProgrammeReply,
  RepBody,
  RepReply,
  RungMoveBody,
  RungMoveReply,
  SetEndBody,
  SetNoteBody,
  SetNoteReply,
  SetReviewReply,
  SquadLineReply,
  StandingReply,
  UnreadableReply,
  WatchedBody,
  WorksOnBody,
  WipeBody,
} from './index.js';

export type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';

/**
 * A request of the API: its path below `/api/`, and the types of what it takes and gives. Only types:
 * the web must not carry the rules of every body to know where to send it.
 */
export interface Route<Path extends string, Takes, Query, Gives> {
  readonly method: Method;
  readonly path: Path;
  /** Never there at run time. */
  readonly types?: { readonly takes: Takes; readonly query: Query; readonly gives: Gives };
}

type Named<Path extends string> = Path extends `${infer Head}/${infer Rest}`
  ? Named<Head> | Named<Rest>
  : Path extends `:${infer Name}`
    ? Name
    : never;

/** What a path is filled in with. */
export type PathParams<Path extends string> = Readonly<Record<Named<Path>, string | number>>;

/** A path with its parameters filled in. */
export const pathOf = <Path extends string>(
  { path }: { readonly path: Path },
  params: PathParams<Path>,
): string => {
  const given = new Map<string, string | number>(Object.entries(params));
  return path
    .split('/')
    .map((part) =>
      part.startsWith(':') ? encodeURIComponent(given.get(part.slice(1)) ?? '') : part,
    )
    .join('/');
};

const get =
  <Gives, Query = undefined>() =>
  <Path extends string>(path: Path): Route<Path, undefined, Query, Gives> => ({
    ...{ method: 'GET', path },
  });
const put =
  <Takes, Gives>() =>
  <Path extends string>(path: Path): Route<Path, Takes, undefined, Gives> => ({
    ...{ method: 'PUT', path },
  });

const remove = <Path extends string>(path: Path): Route<Path, undefined, undefined, object> => ({
  ...{ method: 'DELETE', path },
});

/** Every request there is, for server and web alike. */
export const ROUTES = {
  clubs: get<ClubReply[]>()('clubs'),
  bringClub: { method: 'POST', path: 'clubs' } as Route<'clubs', Blob, undefined, ClubReply>,
  bringDemo: { method: 'POST', path: 'demo' } as Route<'demo', undefined, undefined, ClubReply>,
  wipeClub: { method: 'DELETE', path: 'clubs/:clubId' } as Route<
    'clubs/:clubId',
    WipeBody,
    undefined,
    object
  >,

  saveClub: put<ClubBody, ClubReply>()('clubs/:clubId'),

  people: get<PersonReply[]>()('clubs/:clubId/athletes'),
  addAthletes: put<AthletesBody, PersonReply[]>()('clubs/:clubId/athletes'),
  saveAthlete: put<AthleteBody, PersonReply>()('clubs/:clubId/athletes/:athleteId'),
  workOn: put<WorksOnBody, PersonReply>()('clubs/:clubId/athletes/:athleteId/works-on'),
  watch: put<WatchedBody, PersonReply>()('clubs/:clubId/athletes/:athleteId/watched'),
  faultsLately: get<FaultCountReply[]>()('clubs/:clubId/faults'),
  archiveAthlete: put<ArchivedBody, PersonReply>()('clubs/:clubId/athletes/:athleteId/archived'),

  athleteCare: get<AthleteCareReply>()('clubs/:clubId/athletes/:athleteId/care'),
  sayCare: put<CareBody, CareReply>()('clubs/:clubId/care/:careId'),

  groups: get<GroupReply[]>()('clubs/:clubId/groups'),
  saveGroup: put<GroupBody, GroupReply>()('clubs/:clubId/groups/:groupId'),
  removeGroup: remove('clubs/:clubId/groups/:groupId'),
  plans: get<PlanReply[]>()('clubs/:clubId/plans'),
  plan: get<PlanReply>()('clubs/:clubId/plans/:planId'),
  savePlan: put<PlanBody, PlanReply>()('clubs/:clubId/plans/:planId'),
  removePlan: remove('clubs/:clubId/plans/:planId'),

  programmes: get<ProgrammeReply[]>()('clubs/:clubId/programmes'),
  saveProgramme: put<ProgrammeBody, ProgrammeReply>()('clubs/:clubId/programmes/:programmeId'),
  removeProgramme: remove('clubs/:clubId/programmes/:programmeId'),

  heldSessions: get<HeldSessionReply[]>()('clubs/:clubId/held-sessions'),
  heldSession: get<HeldSessionReply>()('clubs/:clubId/held-sessions/:sessionId'),
  holdSession: put<HeldSessionBody, HeldSessionReply>()('clubs/:clubId/held-sessions/:sessionId'),
  sessionSets: get<SessionSetReply[]>()('clubs/:clubId/held-sessions/:sessionId/sets'),
  removeSession: remove('clubs/:clubId/held-sessions/:sessionId'),
  sessionNotes: get<SessionNoteReply[]>()('clubs/:clubId/session-notes'),
  writeSessionNote: put<SessionNoteBody, SessionNoteReply>()('clubs/:clubId/session-notes/:noteId'),
  homePractice: get<HomePracticeReply[]>()('clubs/:clubId/home-practice'),
  writeHomePractice: put<HomePracticeBody, HomePracticeReply>()(
    'clubs/:clubId/home-practice/:practiceId',
  ),
  loads: get<AthleteLoadReply[], LoadQuery>()('clubs/:clubId/loads'),

  squad: get<SquadLineReply[]>()('clubs/:clubId/squad'),
  standings: get<StandingReply[]>()('clubs/:clubId/standings'),
  drillSetup: get<DrillSetupReply, DrillSetupQuery>()(
    'clubs/:clubId/athletes/:athleteId/drill-setup',
  ),
  course: get<AthleteCourseReply>()('clubs/:clubId/athletes/:athleteId/course'),
  athleteReps: get<AthleteRepsReply, PoolQuery>()('clubs/:clubId/athletes/:athleteId/reps'),

  library: get<PatternLineReply[]>()('clubs/:clubId/patterns'),
  pattern: get<PatternReply>()('clubs/:clubId/patterns/:patternId'),
  patternVersion: get<PatternReply>()('clubs/:clubId/patterns/:patternId/versions/:version'),
  savePattern: put<PatternBody, PatternReply>()(
    'clubs/:clubId/patterns/:patternId/versions/:version',
  ),
  archivePattern: put<ArchivedBody, ArchivedBody>()('clubs/:clubId/patterns/:patternId/archived'),
  patternSchema: get<object>()('pattern.schema.json'),

  review: get<SetReviewReply>()('clubs/:clubId/sets/:setId'),
  recordSet: put<DrillSetBody, DrillSetReply>()('clubs/:clubId/sets/:setId'),
  endSet: put<SetEndBody, DrillSetReply>()('clubs/:clubId/sets/:setId/end'),
  recordRep: put<RepBody, RepReply>()('clubs/:clubId/sets/:setId/reps/:repId'),
  writeNote: put<SetNoteBody, SetNoteReply>()('clubs/:clubId/notes/:noteId'),

  ladder: get<LadderReply>()('clubs/:clubId/patterns/:patternId/ladder'),
  athleteLadder: get<AthleteLadderReply>()('clubs/:clubId/patterns/:patternId/ladder/:athleteId'),
  saveLadder: put<LadderBody, LadderBody>()('clubs/:clubId/ladders/:ladderId'),
  saveOwnLimits: put<OwnLadderBody, OwnLadderBody>()('clubs/:clubId/own-ladders/:ladderId'),
  move: put<RungMoveBody, RungMoveReply>()('clubs/:clubId/moves/:moveId'),
  moveEvidence: get<MoveEvidenceReply>()('clubs/:clubId/moves/:moveId'),

  unreadable: get<UnreadableReply[]>()('clubs/:clubId/unreadable'),
  takeOutSet: remove('clubs/:clubId/sets/:setId'),
  takeOutAthlete: remove('clubs/:clubId/athletes/:athleteId'),
  takeOutCare: remove('clubs/:clubId/care/:careId'),
  takeOutVersion: remove('clubs/:clubId/patterns/:patternId/versions/:version'),

  importSets: put<ImportBody, ImportReply>()('clubs/:clubId/imports/:importId'),
  importProgress: get<ImportReply>()('clubs/:clubId/imports/:importId'),
  clubFile: get<Blob>()('clubs/:clubId/club.zip'),
  athleteFile: get<string>()('clubs/:clubId/athletes/:athleteId/everything.json'),
  repsOfSet: get<string>()('clubs/:clubId/sets/:setId/reps.csv'),
  repsOfClub: get<string>()('clubs/:clubId/reps.csv'),
  athletesOfClub: get<string>()('clubs/:clubId/athletes.csv'),
  setsOfClub: get<string>()('clubs/:clubId/sets.csv'),
  repDictionary: get<string>()('reps-dictionary.csv'),
  setDictionary: get<string>()('sets-dictionary.csv'),
} as const;
