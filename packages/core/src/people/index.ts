export { AGE_BANDS, ageBandOn, ageOn, type AgeBand } from './age.js';
export {
  AGREED_TO,
  AGREEMENT_WAYS,
  agreementOn,
  isUnderAge,
  type AgreedTo,
  type Agreement,
  type AgreementState,
  type AgreementWay,
} from './agreements.js';
export { CARE_KINDS, type CareKind, type Contact } from './care.js';
export {
  againstKeys,
  beforeDrill,
  isStoppedWhole,
  type BeforeDrill,
  type ComingDrill,
  type GoAhead,
  type Minded,
  type Said,
} from './before-drill.js';
export { BODY_BOUNDS_M, usualLengths, type BodyLength, type BodyLengths } from './body.js';
export {
  ERASURES,
  KEEP_YEARS,
  keptSince,
  PRIVATE_MATTERS,
  TRAIL_DEEDS,
  type Erasure,
  type PrivateMatter,
  type TrailDeed,
} from './privacy.js';
export { demandsOf, MOVES, SIDED_MOVES, type Demand, type Move } from './moves.js';
export {
  ALL_NEEDS,
  needKey,
  needsOf,
  needsOfTargets,
  newestLooks,
  painRestrictions,
  READINESS_CHECKS,
  READINESS_RESULTS,
  SIDED_CHECKS,
  unreadyFor,
  type Looked,
  type Need,
  type ReadinessCheck,
  type ReadinessResult,
  type Unready,
} from './readiness.js';
export {
  allowedInstead,
  DAILY_RESTRICTIONS,
  forbids,
  HEAD_CONTACT_TAG,
  holdsOn,
  leftOfDay,
  MOST_A_DAY,
  RESTRICTION_KINDS,
  SIDED_RESTRICTIONS,
  stopsOf,
  type DoneToday,
  type Instead,
  type Restriction,
  type RestrictionKind,
  type Stop,
} from './restrictions.js';
export {
  LONGEST_NAME,
  LONGEST_CALLED,
  LONGEST_GOAL,
  LONGEST_ATHLETE_NOTE,
  LONGEST_CLUB_NAME,
  LONGEST_SPORT,
  LONGEST_CARE_NOTE,
  LONGEST_PHONE,
  LONGEST_REASON,
  LONGEST_SESSION_NOTE,
  MOST_CONTACTS,
} from './texts.js';
export { checkAgreement, checkLooked, checkRestriction } from './valid-care.js';
export {
  MOST_PARTS,
  partOf,
  SPLIT_KINDS,
  splitGroup,
  type Level,
  type Part,
  type SplitKind,
} from './split.js';
export { colourPairs, readColourTest, type ColourPair, type ColourReading } from './colour-test.js';
export {
  BUILD_SOURCES,
  laidFor,
  ownBuild,
  ownReach,
  type BuildSource,
  type KnownBody,
  type OwnBuild,
  type OwnReach,
} from './build.js';
export {
  HELD,
  heldAt,
  measuredReach,
  type Held,
  type KnownReach,
  type MeasuredReach,
  type Reaches,
} from './held.js';
export { DEMO_CLUB_ID } from './demo-club.js';
export { RETURN_STEPS, returnLadder, type ReturnStep } from './return-ladder.js';
export {
  INVITATION_DAYS,
  LONGEST_DEVICE_NAME,
  LONGEST_EMAIL,
  MOST_OWN_ATHLETES,
  PASSWORD_LENGTH,
  PERSON_ROLES,
  ROLES,
  weakPassword,
  type PersonRole,
  type Role,
  type WeakPassword,
} from './roles.js';
export { shortName, withoutName } from './short-name.js';
