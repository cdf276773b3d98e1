import type { Rung } from '../pattern/index.js';

/** How a set asks less than its rung: of somebody who may not do all of it now. */
export interface Eased {
  /** The only targets in play, letters; `null` for all of the rung. */
  readonly targets: readonly string[] | null;
  /** Share of the rung's floor that is used, 0–1. */
  readonly floorShare: number;
}

/** Smallest share of a rung's floor that a set can be run on. */
export const LEAST_FLOOR_SHARE = 0.3;

/** The rung as an eased set is run on it. */
export const easedRung = <Asked extends Pick<Rung, 'targets' | 'floorScale'>>(
  rung: Asked,
  eased: Eased | null | undefined,
): Asked =>
  eased
    ? {
        ...rung,
        targets: rung.targets.filter((letter) => eased.targets?.includes(letter) ?? true),
        floorScale: rung.floorScale * eased.floorShare,
      }
    : rung;
