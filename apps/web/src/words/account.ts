import { PERSON_ROLES, type PersonRole, type Role, type WeakPassword } from '@orthokin/core/people';
import { account as en } from './en/account.js';
import { speaker } from './say.js';

/** What is said of accounts. */
export const say = speaker(en);

/** A role as it is called. */
export const roleWords = (role: Role): string => {
  switch (role) {
    case 'owner':
      return say('owner');
    case 'coach':
      return say('coach');
    case 'assistant':
      return say('assistant');
    case 'floor':
      return say('floorDevice');
    case 'athlete':
      return say('athlete');
  }
};

/** Roles to choose from for a person. */
export const ROLE_OPTIONS = PERSON_ROLES.map((role) => [role, roleWords(role)] as const);

/** What somebody of a role may do. */
export const roleMeans = (role: PersonRole): string => {
  switch (role) {
    case 'owner':
      return say('ownerMeans');
    case 'coach':
      return say('coachMeans');
    case 'assistant':
      return say('assistantMeans');
    case 'athlete':
      return say('athleteMeans');
  }
};

/** Why a password will not do. */
export const weakWords = (weak: WeakPassword): string => {
  switch (weak) {
    case 'too short':
      return say('tooShort');
    case 'too long':
      return say('tooLong');
    case 'the address':
      return say('isAddress');
    case 'one thing over and over':
      return say('isOneThing');
  }
};
