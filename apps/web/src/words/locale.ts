/** The one language that numbers, lists, plurals and sentences are said in. */
export const LOCALE = 'en';
/** Its days, where they are typed part by part: day, month, year. */
export const DAY_LOCALE = 'en-GB';
