import { EVENT_NAMES, FAULTS, MAX_SD_MS, type EventName, type Fault } from '@orthokin/core/timing';
import { Equals, IsIn, IsNumber, Matches, Max, Min } from 'class-validator';
import { CAPITAL, ONE_CAPITAL } from './floor.js';

/** Somebody calls a target. */
export class Call {
  @Matches(CAPITAL, ONE_CAPITAL)
  letter: string;
}

const SIMPLE_ACTS = ['pause', 'goOn', 'redo', 'strike'] as const;

/** A request of a panel that is fully said by its name. */
export class SimpleAsk {
  @IsIn(SIMPLE_ACTS)
  act: (typeof SIMPLE_ACTS)[number];
}

/** A panel reports a fault. */
export class FaultAsk {
  @Equals('fault')
  act: 'fault';

  @IsIn(FAULTS)
  fault: Fault;
}

/** A panel marks an event, at a time on the drill screen's clock, epoch ms. */
export class PressAsk {
  @Equals('press')
  act: 'press';

  @IsIn(EVENT_NAMES)
  name: EventName;

  @IsNumber()
  atMs: number;

  @Min(0)
  @Max(MAX_SD_MS)
  sdMs: number;
}

/** What a panel can ask of the drill's screen. */
export type Ask = SimpleAsk | FaultAsk | PressAsk;
