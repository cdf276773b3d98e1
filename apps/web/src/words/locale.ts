/** The language of numbers, lists, plurals and sentences. */
export const LOCALE = 'en';
/** Its variant for entering dates: day, month, year. */
export const DAY_LOCALE = 'en-GB';
