/**
 * Who somebody is to a club. An owner may do everything; a coach all but accounts and the club itself;
 * an assistant runs what is planned and writes down what is seen; a floor device, signed in without a
 * person, runs drills and sees the squad; an athlete, or whoever stands for them, sees and runs only
 * what is theirs.
 */
export const ROLES = ['owner', 'coach', 'assistant', 'floor', 'athlete'] as const;
export type Role = (typeof ROLES)[number];

/** Those that a person can be invited to be; a floor device is a device. */
export const PERSON_ROLES = ['owner', 'coach', 'assistant', 'athlete'] as const;
export type PersonRole = (typeof PERSON_ROLES)[number];

/** Longest address of mail, in characters (RFC 5321). */
export const LONGEST_EMAIL = 254;

/** Shortest and longest password, in characters: length is what guessing is up against. */
export const PASSWORD_LENGTH = [10, 200] as const;

/** For how many days an invitation can be taken up: the fewest, the usual, the most. */
export const INVITATION_DAYS = [1, 7, 365] as const;

/** Most athletes that one account, or one link, is for: a family, not a squad. */
export const MOST_OWN_ATHLETES = 12;

/** Longest name of a device, in characters. */
export const LONGEST_DEVICE_NAME = 80;

/** Why a password is too easily guessed; `null` of one that will do. */
export type WeakPassword = 'too short' | 'too long' | 'the address' | 'one thing over and over';

/**
 * Whether a password will do: long enough, and nothing that the address or one character says. No
 * rules about figures and signs, which make passwords worse to remember and no harder to guess (NIST
 * SP 800-63B).
 */
export function weakPassword(password: string, email: string): WeakPassword | null {
  const [shortest, longest] = PASSWORD_LENGTH;
  const { length } = [...password];
  if (length < shortest) return 'too short';
  if (length > longest) return 'too long';
  const said = password.toLowerCase();
  const [name = ''] = email.toLowerCase().split('@');
  if (said === email.toLowerCase() || (name.length > 3 && said.replaceAll(name, '').length < 4))
    return 'the address';
  return new Set(said).size < 4 ? 'one thing over and over' : null;
}
