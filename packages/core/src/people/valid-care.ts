import { ok, wrong, type Result } from '../result/index.js';
import type { Agreement } from './agreements.js';
import { SIDED_CHECKS, type Looked } from './readiness.js';
import {
  DAILY_RESTRICTIONS,
  SIDED_RESTRICTIONS,
  type Restriction,
  type RestrictionKind,
} from './restrictions.js';

const isDaily = (kind: RestrictionKind): boolean =>
  DAILY_RESTRICTIONS.some((daily) => daily === kind);

/** A restriction whose parts belong together; else which does not. */
export function checkRestriction(restriction: Restriction): Result<Restriction> {
  const { kind, leg, moves, most, from, until } = restriction;
  if (leg !== null && !SIDED_RESTRICTIONS.includes(kind))
    return wrong('restriction.leg', leg, `null with ${kind}`);
  if (isDaily(kind) !== (most !== null))
    return wrong('restriction.most', most, isDaily(kind) ? 'a number' : `null with ${kind}`);
  if (moves.length > 0 && kind !== 'only what is listed')
    return wrong('restriction.moves', moves, `none with ${kind}`);
  if (until !== null && until < from)
    return wrong('restriction.until', until, `a day from ${from} on, or null`);
  return ok(restriction);
}

/** A look at a check that says a leg where the check has one, and only there. */
export function checkLooked(looked: Looked): Result<Looked> {
  const { check, leg } = looked;
  if (SIDED_CHECKS.includes(check) === (leg === null))
    return wrong('check.leg', leg, leg === null ? 'left or right' : `null with ${check}`);
  return ok(looked);
}

/** An agreement that does not end before it begins. */
export function checkAgreement<Given extends Agreement>(agreement: Given): Result<Given> {
  const { day, until } = agreement;
  if (until !== null && until < day)
    return wrong('agreement.until', until, `a day from ${day} on, or null`);
  return ok(agreement);
}
