import { DEVICE_KINDS, SIGNALS, type DeviceKind, type Signal } from '@orthokin/core/beacon';
import { MAX_SD_MS } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { reader } from './read-frame.js';

export const BEACON_PROTOCOL = 1;
const DEVICE = /^[\w-]{1,32}$/;

class OfDevice {
  @Matches(DEVICE, { message: 'device must be 1 to 32 letters, figures or dashes' })
  device: string;
}

export class DeviceBody extends OfDevice {
  @IsIn(DEVICE_KINDS)
  kind: DeviceKind;

  /** The target's letter, or "home". */
  @Matches(/^([A-Z]|home)$/, { message: 'place must be a target’s letter or home' })
  place: string;

  /** 0 to 1. */
  @Min(0)
  @Max(1)
  battery: number;

  /** The device's own timing error (standard deviation), ms. */
  @Min(0)
  @Max(MAX_SD_MS)
  sdMs: number;
}

/** The first frame of a gateway: its devices. */
export class HelloFrame {
  @Equals('hello')
  type: 'hello';

  @Equals(BEACON_PROTOCOL)
  protocol: number;

  @IsString()
  gateway: string;

  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => DeviceBody)
  devices: DeviceBody[];
}

/** The answer to a clock question, in ms of the device's clock. */
export class ClockFrame extends OfDevice {
  @Equals('clock')
  type: 'clock';

  @IsInt()
  id: number;

  @IsNumber()
  received: number;

  @IsNumber()
  replied: number;

  /** The number of its newest event, 0 before the first, so that a lost last event is noticed. */
  @IsInt()
  @Min(0)
  last: number;
}

/** An event a device noticed, numbered from 1, in ms of the device's clock. */
export class EventFrame extends OfDevice {
  @Equals('event')
  type: 'event';

  @IsInt()
  @Min(1)
  seq: number;

  @IsNumber()
  at: number;

  @IsIn(SIGNALS)
  signal: Signal;
}

export class BatteryFrame extends OfDevice {
  @Equals('battery')
  type: 'battery';

  @Min(0)
  @Max(1)
  level: number;
}

/** A gateway lost contact with a device, or regained it. */
export class PresenceFrame extends OfDevice {
  @IsIn(['gone', 'back'])
  type: 'gone' | 'back';
}

/** A frame from a gateway. */
export type GatewayFrame = HelloFrame | ClockFrame | EventFrame | BatteryFrame | PresenceFrame;

/** Asks a device for its time. */
export class ClockAsk extends OfDevice {
  @Equals('clock')
  type: 'clock';

  @IsInt()
  id: number;
}

/** A set begins. The parameters for a simulated athlete are for stand-ins; hardware ignores them. */
export class ArmAsk {
  @Equals('arm')
  type: 'arm';

  @IsOptional()
  @IsObject()
  standIn?: Record<string, unknown>;
}

/** Lights a device's cue at a time of the device's clock, ms. */
export class CueAsk extends OfDevice {
  @Equals('cue')
  type: 'cue';

  @IsNumber()
  at: number;
}

/** Asks for events again. */
export class ResendAsk extends OfDevice {
  @Equals('resend')
  type: 'resend';

  @IsInt()
  @Min(1)
  from: number;

  @IsInt()
  @Min(1)
  to: number;
}

/** After a reconnect: asks for all events after these numbers. */
export class ResumeAsk {
  @Equals('resume')
  type: 'resume';

  @IsObject()
  heard: Record<string, number>;
}

/** A frame to a gateway. */
export type GatewayAsk = ClockAsk | ArmAsk | CueAsk | ResendAsk | ResumeAsk;

/** Parses a frame from a gateway, or says which field is wrong. Unknown fields are ignored. */
export const readGatewayFrame = reader<GatewayFrame>({
  hello: HelloFrame,
  clock: ClockFrame,
  event: EventFrame,
  battery: BatteryFrame,
  gone: PresenceFrame,
  back: PresenceFrame,
});

/** Parses a frame to a gateway, or says which field is wrong. */
export const readGatewayAsk = reader<GatewayAsk>({
  clock: ClockAsk,
  arm: ArmAsk,
  cue: CueAsk,
  resend: ResendAsk,
  resume: ResumeAsk,
});
