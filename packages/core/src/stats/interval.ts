/** Where a figure may well lie: between these, in the figure's own unit, at the level asked for. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** Of all such intervals, the share that holds the true figure. */
export const LEVEL = 0.95;

/** Whether a value lies in an interval, ends included. */
export const contains = ({ low, high }: Interval, value: number): boolean =>
  low <= value && value <= high;
