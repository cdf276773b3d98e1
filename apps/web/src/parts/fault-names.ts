import type { Fault } from '@orthokin/core/timing';
import { createContext } from 'react';

/** What a fault is called here: a club may call it otherwise than its code. */
export type NameOfFault = (fault: Fault) => string;

/** Names of faults where nobody has given them others. */
export const codeOf: NameOfFault = (fault) => fault;

export const FaultNames = createContext<NameOfFault>(codeOf);
