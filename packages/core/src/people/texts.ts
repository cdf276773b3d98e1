/** Longest name of a person, in characters. */
export const LONGEST_NAME = 60;

/** Longest word a coach calls across a floor for somebody, in characters. */
export const LONGEST_CALLED = 30;

/** Longest goal, in characters. */
export const LONGEST_GOAL = 300;

/** Longest note of what a coach bears in mind with somebody, in characters. */
export const LONGEST_ATHLETE_NOTE = 2000;

/** Longest name of a club, in characters. */
export const LONGEST_CLUB_NAME = 120;

/** Longest name of a sport, in characters. */
export const LONGEST_SPORT = 60;

/** Longest thing written about somebody's care, in characters. */
export const LONGEST_CARE_NOTE = 500;

/** Longest note of what was seen in a session, in characters. */
export const LONGEST_SESSION_NOTE = 500;

/** Longest reason of a coach who decides otherwise, in characters. */
export const LONGEST_REASON = 300;

/** Longest telephone number as people write it, in characters. */
export const LONGEST_PHONE = 40;

/** Most people to call in an emergency. */
export const MOST_CONTACTS = 3;
