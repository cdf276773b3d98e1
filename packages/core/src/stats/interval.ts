/** An interval for a figure, in the figure's own unit. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** Default confidence level. */
export const LEVEL = 0.95;

/** Whether a value lies in an interval, ends included. */
export const contains = ({ low, high }: Interval, value: number): boolean =>
  low <= value && value <= high;
