import type { LengthUnit } from '@orthokin/core/floor';
import { createContext, useContext } from 'react';

/** The unit in which lengths are shown and entered. */
export const UnitContext = createContext<{
  readonly unit: LengthUnit;
  readonly setUnit: (unit: LengthUnit) => void;
}>({ unit: 'metres', setUnit: () => undefined });

export const useUnit = () => useContext(UnitContext);
