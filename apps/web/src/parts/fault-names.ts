import type { Fault } from '@orthokin/core/timing';
import { createContext } from 'react';

/** Gives a fault's name; a club may have its own for a code. */
export type NameOfFault = (fault: Fault) => string;

/** The default names. */
export const codeOf: NameOfFault = (fault) => fault;

export const FaultNames = createContext<NameOfFault>(codeOf);
