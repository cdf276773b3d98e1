import type { PrivateMatter, Role } from '@orthokin/core/people';
import type {
  AcceptBody,
  AccountBody,
  AccountReply,
  DeviceReply,
  FloorDeviceBody,
  InvitationBody,
  InvitationReply,
  InvitedReply,
  MeReply,
  OwnerBody,
  PasswordBody,
  SignInBody,
  TokenBody,
  TryRoleBody,
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
  GatewaysBody,
  GatewaysReply,
  JoinedScreenReply,
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
  ErasureBody,
  KeepingBody,
  NewPasskeyReply,
  PasskeyAnswerBody,
  PasskeyBody,
  PasskeyQuestionReply,
  PasskeyReply,
  PrivacyReply,
  TrailEntryReply,
} from './index.js';

export type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';

/**
 * Who may send a request: some roles (an athlete only about their own data), anybody, or whoever is at the server's
 * own machine.
 */
export type MayAsk = readonly Role[] | 'anyone' | 'this machine';

const OWNERS = ['owner'] as const;
const OWNERS_AND_OWN = [...OWNERS, 'athlete'] as const;
const COACHES = [...OWNERS, 'coach'] as const;
const CREW = [...COACHES, 'assistant'] as const;
const FLOOR = [...CREW, 'floor'] as const;
const EVERYBODY = [...FLOOR, 'athlete'] as const;
const CREW_AND_OWN = [...CREW, 'athlete'] as const;
const COACHES_AND_OWN = [...COACHES, 'athlete'] as const;
const ANYONE = 'anyone';
const THIS_MACHINE = 'this machine';

/** Whether a role may send a request. */
export const isFor = ({ may }: { readonly may: MayAsk }, role: Role): boolean =>
  typeof may !== 'string' && may.includes(role);

/**
 * A request of the API: its path below `/api/`, and the types of what it takes and gives. Types only, so that the web
 * app does not load all validation rules just to know the addresses.
 */
export interface Route<Path extends string, Takes, Query, Gives> {
  readonly method: Method;
  readonly path: Path;
  readonly may: MayAsk;
  /** Which private thing it reveals or changes, for the trail. */
  readonly touches?: PrivateMatter;
  /** Only for the compiler; undefined at run time. */
  readonly types?: { readonly takes: Takes; readonly query: Query; readonly gives: Gives };
}

type Named<Path extends string> = Path extends `${infer Head}/${infer Rest}`
  ? Named<Head> | Named<Rest>
  : Path extends `:${infer Name}`
    ? Name
    : never;

/** The parameters of a path. */
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

const sent =
  (method: Method) =>
  <Takes, Gives, Query = undefined>() =>
  <Path extends string>(
    path: Path,
    may: MayAsk,
    touches?: PrivateMatter,
  ): Route<Path, Takes, Query, Gives> => ({
    ...{ method, path, may },
    ...(touches && { touches }),
  });
const put = sent('PUT');
const post = sent('POST');
const get = <Gives, Query = undefined>() => sent('GET')<undefined, Gives, Query>();
const remove = sent('DELETE')<undefined, object>();

/** All requests of the API, for server and web app, each with who may send it. */
export const ROUTES = {
  clubs: get<ClubReply[]>()('clubs', ANYONE),
  bringClub: { method: 'POST', path: 'clubs', may: THIS_MACHINE } as Route<
    'clubs',
    Blob,
    undefined,
    ClubReply
  >,
  bringDemo: { method: 'POST', path: 'demo', may: THIS_MACHINE } as Route<
    'demo',
    undefined,
    undefined,
    ClubReply
  >,
  wipeClub: { method: 'DELETE', path: 'clubs/:clubId', may: OWNERS } as Route<
    'clubs/:clubId',
    WipeBody,
    undefined,
    object
  >,

  saveClub: put<ClubBody, ClubReply>()('clubs/:clubId', COACHES),

  me: get<MeReply>()('me', ANYONE),
  signIn: post<SignInBody, MeReply>()('sign-in', ANYONE),
  signOut: post<undefined, MeReply>()('sign-out', ANYONE),
  tryRole: post<TryRoleBody, MeReply>()('try-role', THIS_MACHINE),
  changePassword: put<PasswordBody, MeReply>()('me/password', EVERYBODY),
  newPasskey: post<undefined, NewPasskeyReply>()('me/passkeys/new', CREW_AND_OWN),
  passkeys: get<PasskeyReply[]>()('me/passkeys', CREW_AND_OWN),
  addPasskey: post<PasskeyBody, PasskeyReply>()('me/passkeys', CREW_AND_OWN),
  removePasskey: remove('me/passkeys/:passkeyId', CREW_AND_OWN),
  askPasskey: post<undefined, PasskeyQuestionReply>()('sign-in/passkey/new', ANYONE),
  signInByPasskey: post<PasskeyAnswerBody, MeReply>()('sign-in/passkey', ANYONE),
  invited: post<TokenBody, InvitedReply>()('invited', ANYONE),
  accept: post<AcceptBody, MeReply>()('invited/accept', ANYONE),
  firstOwner: put<OwnerBody, MeReply>()('clubs/:clubId/owner', THIS_MACHINE),
  accounts: get<AccountReply[]>()('clubs/:clubId/accounts', OWNERS),
  saveAccount: put<AccountBody, AccountReply>()('clubs/:clubId/accounts/:accountId', OWNERS),
  endAccount: remove('clubs/:clubId/accounts/:accountId', OWNERS),
  invitations: get<InvitationReply[]>()('clubs/:clubId/invitations', OWNERS),
  invite: put<InvitationBody, InvitationReply>()(
    'clubs/:clubId/invitations/:invitationId',
    COACHES,
  ),
  endInvitation: remove('clubs/:clubId/invitations/:invitationId', OWNERS),
  devices: get<DeviceReply[]>()('clubs/:clubId/devices', EVERYBODY),
  joinedScreens: get<JoinedScreenReply[]>()('clubs/:clubId/screens', OWNERS),
  endScreen: remove('clubs/:clubId/screens/:room/:screen', OWNERS),
  gateways: get<GatewaysReply>()('clubs/:clubId/gateways', FLOOR),
  saveGateways: put<GatewaysBody, GatewaysReply>()('clubs/:clubId/gateways', COACHES),
  endDevice: remove('clubs/:clubId/devices/:deviceId', EVERYBODY),
  beFloorDevice: put<FloorDeviceBody, MeReply>()('clubs/:clubId/floor-device', COACHES),

  people: get<PersonReply[]>()('clubs/:clubId/athletes', CREW_AND_OWN, 'particulars'),
  addAthletes: put<AthletesBody, PersonReply[]>()('clubs/:clubId/athletes', COACHES, 'particulars'),
  saveAthlete: put<AthleteBody, PersonReply>()(
    'clubs/:clubId/athletes/:athleteId',
    COACHES,
    'particulars',
  ),
  workOn: put<WorksOnBody, PersonReply>()('clubs/:clubId/athletes/:athleteId/works-on', CREW),
  watch: put<WatchedBody, PersonReply>()('clubs/:clubId/athletes/:athleteId/watched', CREW),
  faultsLately: get<FaultCountReply[]>()('clubs/:clubId/faults', CREW),
  archiveAthlete: put<ArchivedBody, PersonReply>()(
    'clubs/:clubId/athletes/:athleteId/archived',
    COACHES,
  ),

  athleteCare: get<AthleteCareReply>()(
    'clubs/:clubId/athletes/:athleteId/care',
    COACHES_AND_OWN,
    'care',
  ),
  sayCare: put<CareBody, CareReply>()('clubs/:clubId/care/:careId', COACHES, 'care'),

  trail: get<TrailEntryReply[]>()('clubs/:clubId/athletes/:athleteId/trail', OWNERS_AND_OWN),
  privacy: get<PrivacyReply>()('clubs/:clubId/privacy', OWNERS),
  saveKeeping: put<KeepingBody, PrivacyReply>()('clubs/:clubId/privacy', OWNERS),

  groups: get<GroupReply[]>()('clubs/:clubId/groups', FLOOR),
  saveGroup: put<GroupBody, GroupReply>()('clubs/:clubId/groups/:groupId', CREW),
  removeGroup: remove('clubs/:clubId/groups/:groupId', COACHES),
  plans: get<PlanReply[]>()('clubs/:clubId/plans', FLOOR),
  plan: get<PlanReply>()('clubs/:clubId/plans/:planId', FLOOR),
  savePlan: put<PlanBody, PlanReply>()('clubs/:clubId/plans/:planId', CREW),
  removePlan: remove('clubs/:clubId/plans/:planId', COACHES),

  programmes: get<ProgrammeReply[]>()('clubs/:clubId/programmes', CREW),
  saveProgramme: put<ProgrammeBody, ProgrammeReply>()(
    'clubs/:clubId/programmes/:programmeId',
    COACHES,
  ),
  removeProgramme: remove('clubs/:clubId/programmes/:programmeId', COACHES),

  heldSessions: get<HeldSessionReply[]>()('clubs/:clubId/held-sessions', CREW),
  heldSession: get<HeldSessionReply>()('clubs/:clubId/held-sessions/:sessionId', CREW),
  holdSession: put<HeldSessionBody, HeldSessionReply>()(
    'clubs/:clubId/held-sessions/:sessionId',
    CREW,
  ),
  sessionSets: get<SessionSetReply[]>()('clubs/:clubId/held-sessions/:sessionId/sets', CREW),
  removeSession: remove('clubs/:clubId/held-sessions/:sessionId', COACHES),
  sessionNotes: get<SessionNoteReply[]>()('clubs/:clubId/session-notes', CREW),
  writeSessionNote: put<SessionNoteBody, SessionNoteReply>()(
    'clubs/:clubId/session-notes/:noteId',
    CREW,
  ),
  homePractice: get<HomePracticeReply[]>()('clubs/:clubId/home-practice', CREW_AND_OWN),
  writeHomePractice: put<HomePracticeBody, HomePracticeReply>()(
    'clubs/:clubId/home-practice/:practiceId',
    CREW_AND_OWN,
  ),
  loads: get<AthleteLoadReply[], LoadQuery>()('clubs/:clubId/loads', CREW),

  squad: get<SquadLineReply[]>()('clubs/:clubId/squad', EVERYBODY),
  standings: get<StandingReply[]>()('clubs/:clubId/standings', CREW),
  drillSetup: get<DrillSetupReply, DrillSetupQuery>()(
    'clubs/:clubId/athletes/:athleteId/drill-setup',
    EVERYBODY,
  ),
  course: get<AthleteCourseReply>()(
    'clubs/:clubId/athletes/:athleteId/course',
    CREW_AND_OWN,
    'times',
  ),
  athleteReps: get<AthleteRepsReply, PoolQuery>()(
    'clubs/:clubId/athletes/:athleteId/reps',
    CREW_AND_OWN,
    'times',
  ),

  library: get<PatternLineReply[]>()('clubs/:clubId/patterns', EVERYBODY),
  pattern: get<PatternReply>()('clubs/:clubId/patterns/:patternId', EVERYBODY),
  patternVersion: get<PatternReply>()(
    'clubs/:clubId/patterns/:patternId/versions/:version',
    EVERYBODY,
  ),
  savePattern: put<PatternBody, PatternReply>()(
    'clubs/:clubId/patterns/:patternId/versions/:version',
    COACHES,
  ),
  archivePattern: put<ArchivedBody, ArchivedBody>()(
    'clubs/:clubId/patterns/:patternId/archived',
    COACHES,
  ),
  patternSchema: get<object>()('pattern.schema.json', ANYONE),

  review: get<SetReviewReply>()('clubs/:clubId/sets/:setId', CREW_AND_OWN),
  recordSet: put<DrillSetBody, DrillSetReply>()('clubs/:clubId/sets/:setId', EVERYBODY),
  endSet: put<SetEndBody, DrillSetReply>()('clubs/:clubId/sets/:setId/end', EVERYBODY),
  recordRep: put<RepBody, RepReply>()('clubs/:clubId/sets/:setId/reps/:repId', EVERYBODY),
  writeNote: put<SetNoteBody, SetNoteReply>()('clubs/:clubId/notes/:noteId', CREW),

  ladder: get<LadderReply>()('clubs/:clubId/patterns/:patternId/ladder', CREW),
  athleteLadder: get<AthleteLadderReply>()(
    'clubs/:clubId/patterns/:patternId/ladder/:athleteId',
    CREW_AND_OWN,
  ),
  saveLadder: put<LadderBody, LadderBody>()('clubs/:clubId/ladders/:ladderId', COACHES),
  saveOwnLimits: put<OwnLadderBody, OwnLadderBody>()(
    'clubs/:clubId/own-ladders/:ladderId',
    COACHES,
  ),
  move: put<RungMoveBody, RungMoveReply>()('clubs/:clubId/moves/:moveId', CREW),
  moveEvidence: get<MoveEvidenceReply>()('clubs/:clubId/moves/:moveId', CREW_AND_OWN),

  unreadable: get<UnreadableReply[]>()('clubs/:clubId/unreadable', COACHES),
  takeOutSet: remove('clubs/:clubId/sets/:setId', COACHES),
  eraseAthlete: sent('DELETE')<ErasureBody, object>()('clubs/:clubId/athletes/:athleteId', COACHES),
  takeOutCare: remove('clubs/:clubId/care/:careId', COACHES, 'care'),
  takeOutVersion: remove('clubs/:clubId/patterns/:patternId/versions/:version', COACHES),

  importSets: put<ImportBody, ImportReply>()('clubs/:clubId/imports/:importId', COACHES),
  importProgress: get<ImportReply>()('clubs/:clubId/imports/:importId', COACHES),
  clubFile: get<Blob>()('clubs/:clubId/club.zip', OWNERS, 'everything'),
  athleteFile: get<string>()(
    'clubs/:clubId/athletes/:athleteId/everything.json',
    COACHES_AND_OWN,
    'everything',
  ),
  repsOfSet: get<string>()('clubs/:clubId/sets/:setId/reps.csv', CREW),
  repsOfClub: get<string>()('clubs/:clubId/reps.csv', COACHES, 'times'),
  athletesOfClub: get<string>()('clubs/:clubId/athletes.csv', COACHES, 'particulars'),
  setsOfClub: get<string>()('clubs/:clubId/sets.csv', COACHES, 'times'),
  repDictionary: get<string>()('reps-dictionary.csv', ANYONE),
  setDictionary: get<string>()('sets-dictionary.csv', ANYONE),
} as const;
