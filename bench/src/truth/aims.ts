/** A share found in a simulation, and what was aimed at. */
export interface Finding {
  readonly what: string;
  readonly share: number;
  readonly of: number;
  /** `null` where nothing is asked: the share is only shown. */
  readonly atMost?: number;
  readonly atLeast?: number;
}

/** A share this many of its own errors beyond its aim is no luck of the draw. */
const ERRORS = 2;

export function isMissed({ share, of, atMost, atLeast }: Finding): boolean {
  const aim = atMost ?? atLeast;
  if (aim === undefined) return false;
  const error = ERRORS * Math.sqrt((Math.min(aim, 1) * Math.max(0, 1 - aim)) / of);
  return atMost !== undefined ? share > atMost + error : share < (atLeast ?? 0) - error;
}

const percent = (share: number): string => `${(100 * share).toFixed(1).padStart(5)} %`;

export function lineOf(finding: Finding): string {
  const { what, share, atMost, atLeast } = finding;
  const aim =
    atMost !== undefined
      ? `  aim: at most ${percent(atMost)}`
      : atLeast !== undefined
        ? `  aim: at least ${percent(atLeast)}`
        : '';
  return `${isMissed(finding) ? 'MISSED ' : '       '}${what.padEnd(76)}${percent(share)}${aim}`;
}

/** Share of findings for which something holds. */
export const shareOf = <T>(all: readonly T[], holds: (each: T) => boolean): number =>
  all.filter(holds).length / all.length;
