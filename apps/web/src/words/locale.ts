/** The one language that numbers, lists, plurals and sentences are said in. */
export const LOCALE = 'en';
