import type { Rung } from '../pattern/index.js';

/** How a set asks less than its rung, because of a restriction. */
export interface Eased {
  /** Letters of the only targets in play; `null` for all of the rung's. */
  readonly targets: readonly string[] | null;
  /** Share of the rung's floor that is used, 0–1. */
  readonly floorShare: number;
}

/** The smallest share of a rung's floor. */
export const LEAST_FLOOR_SHARE = 0.3;

/** The rung as an eased set asks it. */
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
