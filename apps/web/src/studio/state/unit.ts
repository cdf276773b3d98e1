import type { LengthUnit } from '@orthokin/core/floor';
import { createContext, useContext } from 'react';

/** What lengths are shown and typed in. */
export const UnitContext = createContext<{
  readonly unit: LengthUnit;
  readonly setUnit: (unit: LengthUnit) => void;
}>({ unit: 'metres', setUnit: () => undefined });

export const useUnit = () => useContext(UnitContext);
