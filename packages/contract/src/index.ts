export { AthleteReply, DrillSetupReply, LastSetReply, SquadLineReply } from './athlete.js';
export { ConditionsBody, CueBody } from './conditions.js';
export {
  CLUB_FORMAT,
  CLUB_FORMAT_VERSION,
  CLUB_LISTS,
  ClubFileHead,
  type ClubList,
  type InList,
} from './club-file.js';
export { ImportBody, ImportReply, ImportSet, IMPORT_STATES, type ImportState } from './import.js';
export {
  AthleteCourseReply,
  AthleteRepsReply,
  CourseSetReply,
  SetNoteBody,
  SetNoteReply,
  StandingReply,
} from './course.js';
export {
  AgreementBody,
  AthleteCareReply,
  CareBody,
  CareReply,
  ContactBody,
  DayDoneReply,
  EmergencyBody,
  GoAheadBody,
  LookedBody,
  RestrictionBody,
  TakenBack,
} from './care.js';
export {
  ErasureBody,
  ErasureReply,
  KeepingBody,
  OverdueReply,
  PrivacyReply,
  TrailEntryReply,
} from './privacy.js';
export {
  NewPasskeyReply,
  PasskeyAnswerBody,
  PasskeyBody,
  PasskeyQuestionReply,
  PasskeyReply,
} from './passkey.js';
export { GroupBody, GroupReply } from './group.js';
export {
  AttendedBody,
  HeldBlockBody,
  HeldSessionBody,
  HeldSessionReply,
  ScoreBody,
  SessionSetReply,
} from './held-session.js';
export { AthleteLoadReply, LoadQuery, WeekLoadReply } from './load.js';
export { HomePracticeBody, HomePracticeReply } from './home-practice.js';
export { SessionNoteBody, SessionNoteReply } from './session-note.js';
export { BlockBody, PlanBody, PlanReply } from './plan.js';
export { ProgrammeBody, ProgrammeReply, ProgrammeWeekBody } from './programme.js';
export { GATEWAY_ADDRESS, GatewaysBody, GatewaysReply } from './gateways.js';
export { ClubBody, ClubReply, FaultCountReply, FaultWordsBody, WipeBody } from './club.js';
export {
  AddedAthlete,
  AthleteBody,
  AthletesBody,
  PersonReply,
  WatchedBody,
  WorksOnBody,
} from './person.js';
export {
  Corrected,
  DrillSetBody,
  DrillSetReply,
  EventBody,
  RepBody,
  RepReply,
  SetEndBody,
} from './drill.js';
export { AthleteLadderReply, EvidenceReply, LadderPlaceReply, LadderReply } from './ladder.js';
export { LadderBody, LadderSettingsBody, OwnLadderBody, OwnLimitsBody } from './ladder-settings.js';
export {
  LIVE_ROLES,
  JoinedScreenReply,
  LiveQuery,
  LiveTell,
  LiveEnd,
  isHolder,
  mayTell,
  MAX_LIVE_BYTES,
  type LiveRole,
} from './live.js';
export type { LiveNews } from './live-messages.js';
export {
  AthletePath,
  CarePath,
  AthletePatternPath,
  AccountPath,
  ClubPath,
  DevicePath,
  ScreenPath,
  NewInvitationPath,
  NewImportPath,
  NewLadderPath,
  NewMovePath,
  NewNotePath,
  NewPatternVersionPath,
  NewRepPath,
  GroupPath,
  PlanPath,
  ProgrammePath,
  SessionPath,
  NewAthletePath,
  PasskeyPath,
  NewCarePath,
  NewGroupPath,
  NewPlanPath,
  NewPracticePath,
  NewProgrammePath,
  NewSessionPath,
  NewClubPath,
  NewSetPath,
  PatternPath,
  PatternVersionPath,
  PoolQuery,
  SetPath,
  DrillSetupQuery,
} from './paths.js';
export { ArchivedBody, PatternLineReply, PatternReply } from './library.js';
export { PatternBody } from './pattern.js';
export { RungBody } from './rung.js';
export { ProblemReply, RefusalReply } from './problem.js';
export {
  DecisionHeadReply,
  DecisionReply,
  MoveEvidenceReply,
  RungMoveBody,
  RungMoveReply,
} from './progress.js';
export { SetReviewReply } from './review.js';
export { UnreadableReply, UNREADABLE_KINDS, type UnreadableKind } from './unreadable.js';
export { validationProblems } from './validation-problems.js';
export {
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
  SignedInReply,
  SignInBody,
  TokenBody,
  TryRoleBody,
} from './account.js';
