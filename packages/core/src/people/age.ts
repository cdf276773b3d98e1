/** Bands that loads, rules and words go by; the last has no upper end. */
export const AGE_BANDS = ['under 11', 'under 13', 'under 15', 'under 17', 'adult'] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** The first age, in years, that is no longer in a band. */
const ENDS: readonly (readonly [band: AgeBand, years: number])[] = [
  ['under 11', 11],
  ['under 13', 13],
  ['under 15', 15],
  ['under 17', 17],
];

/**
 * Completed years on a day. Who is born on 29 February is a year older on 1 March of other years.
 * @param bornOn calendar day, `YYYY-MM-DD`
 * @param day calendar day, `YYYY-MM-DD`; before the birth the years are negative
 * @example ageOn('2014-11-27', '2026-11-26') // 11
 */
export function ageOn(bornOn: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(bornOn.slice(0, 4));
  return day.slice(5) < bornOn.slice(5) ? years - 1 : years;
}

/**
 * The age band of somebody on a day.
 * @param bornOn calendar day, `YYYY-MM-DD`
 * @param day calendar day, `YYYY-MM-DD`
 * @example ageBandOn('2014-11-27', '2026-11-26') // 'under 13'
 */
export function ageBandOn(bornOn: string, day: string): AgeBand {
  const age = ageOn(bornOn, day);
  return ENDS.find(([, years]) => age < years)?.[0] ?? 'adult';
}
