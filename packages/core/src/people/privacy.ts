/**
 * What is private of athletes, as the trail of who saw or changed it names it: their particulars (date
 * of birth, measures, note, card for emergencies), their care (restrictions, checks, agreements), their
 * times, and everything at once, as in a file.
 */
export const PRIVATE_MATTERS = ['particulars', 'care', 'times', 'everything'] as const;
export type PrivateMatter = (typeof PRIVATE_MATTERS)[number];

/** What was done with something private. */
export const TRAIL_DEEDS = ['saw', 'changed'] as const;
export type TrailDeed = (typeof TRAIL_DEEDS)[number];

/**
 * How somebody is erased: with all they have done, or so that their sets and reps stay under no name,
 * and nothing that somebody wrote about them.
 */
export const ERASURES = ['removed', 'nameless'] as const;
export type Erasure = (typeof ERASURES)[number];

/** For how many years a club keeps those who do not train any more: the fewest and the most. */
export const KEEP_YEARS = [1, 20] as const;

/**
 * The day before which somebody must have trained last for a club to have kept them for long enough.
 * @param today calendar day, `YYYY-MM-DD`
 * @returns the same day so many years before; 28 February for a 29th that is not there
 */
export function keptSince(today: string, years: number): string {
  const [year = '', month = '', day = ''] = today.split('-');
  const before = Number(year) - years;
  const isLeap = (before % 4 === 0 && before % 100 !== 0) || before % 400 === 0;
  return [
    String(before).padStart(4, '0'),
    month,
    month === '02' && day === '29' && !isLeap ? '28' : day,
  ].join('-');
}
