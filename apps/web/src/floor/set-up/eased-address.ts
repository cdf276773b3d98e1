import { LEAST_FLOOR_SHARE, type Eased } from '@orthokin/core/drill';
import type { AddressParts } from '../../parts/useAddress.js';

/** How the address eases the rung: `only=A,C`, `floor=0.6`; `null` if it does not. */
export function easedOf(params: URLSearchParams): Eased | null {
  const targets = params.get('only')?.split(',').filter(Boolean) ?? null;
  const asked = Number(params.get('floor') ?? 1);
  const floorShare = asked >= LEAST_FLOOR_SHARE && asked <= 1 ? asked : 1;
  return targets === null && floorShare === 1 ? null : { targets, floorShare };
}

/** The same as a change of the address; `null` removes the easing. */
export const easedParts = (eased: Partial<Eased> | null): AddressParts => ({
  only: eased?.targets?.join(',') ?? null,
  floor: eased?.floorShare === undefined ? null : String(eased.floorShare),
});
