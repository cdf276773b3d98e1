import 'reflect-metadata';
import { getMetadataStorage } from 'class-validator';
// The published ESM build of class-transformer hides its metadata storage; this is where it lives.
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import * as contract from '@orthokin/contract';

type Class = new () => object;

/** What a person or a program may send; everything below them is looked at as well. */
const TAKEN: readonly Class[] = [
  contract.AcceptBody,
  contract.AccountBody,
  contract.ArchivedBody,
  contract.FloorDeviceBody,
  contract.InvitationBody,
  contract.OwnerBody,
  contract.PasswordBody,
  contract.SignInBody,
  contract.TokenBody,
  contract.TryRoleBody,
  contract.ClubFileHead,
  ...Object.values(contract.CLUB_LISTS),
  contract.AthleteBody,
  contract.AthletesBody,
  contract.CareBody,
  contract.ClubBody,
  contract.GatewaysBody,
  contract.GroupBody,
  contract.PlanBody,
  contract.ProgrammeBody,
  contract.HeldSessionBody,
  contract.SessionNoteBody,
  contract.HomePracticeBody,
  contract.WatchedBody,
  contract.WorksOnBody,
  contract.DrillSetBody,
  contract.DrillSetupQuery,
  contract.ImportBody,
  contract.LadderBody,
  contract.LiveQuery,
  contract.LiveTell,
  contract.OwnLadderBody,
  contract.PatternBody,
  contract.PoolQuery,
  contract.RepBody,
  contract.RungMoveBody,
  contract.SetEndBody,
  contract.SetNoteBody,
  contract.WipeBody,
  contract.PasskeyAnswerBody,
  contract.PasskeyBody,
  contract.ErasureBody,
  contract.KeepingBody,
];

const BOUND_TEXT = /^(isIn|isUuid|isIso8601|matches|maxLength|isLength|equals)$/;

/** Fields without a bound, as `Class.field: what is missing`. */
function boundless(of: Class, seen = new Set<Class>()): string[] {
  if (seen.has(of)) return [];
  seen.add(of);
  const rules = getMetadataStorage().getTargetValidationMetadatas(of, '', false, false);
  return [...new Set(rules.map(({ propertyName }) => propertyName))].flatMap((name) => {
    const own = rules.filter(({ propertyName }) => propertyName === name);
    const names = own.map((rule) => rule.name ?? rule.type);
    const has = (rule: string) => names.includes(rule);
    const nested = own.some(({ type }) => type === 'nestedValidation');
    const missing: string[] = [];
    if ((has('isArray') || own.some(({ each }) => each)) && !has('arrayMaxSize'))
      missing.push('the length of a list');
    if (has('isString') && !names.some((rule) => BOUND_TEXT.test(rule)))
      missing.push('the length of a text');
    if (has('isInt') || has('isNumber') || has('isPositive')) {
      if (!has('max')) missing.push('the greatest');
      if (!has('min') && !has('isPositive')) missing.push('the least');
    }
    const type = nested
      ? (defaultMetadataStorage.findTypeMetadata(of, name).typeFunction() as Class)
      : null;
    return [
      ...missing.map((what) => `${of.name}.${name}: ${what}`),
      ...(type ? boundless(type, seen) : []),
    ];
  });
}

describe('whatever may be sent is bounded', () => {
  test.each(TAKEN.map((of) => [of.name, of] as const))('%s', (_, of) => {
    expect(boundless(of)).toEqual([]);
  });
});
