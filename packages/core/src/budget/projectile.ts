/** What flies, as far as the air is concerned. */
export interface Projectile {
  readonly name: string;
  readonly massKg: number;
  readonly diameterM: number;
  readonly dragCoefficient: number;
}

/** Typical values; the coach may change them. */
export const PROJECTILES: readonly [Projectile, ...Projectile[]] = [
  { name: 'squash ball', massKg: 0.024, diameterM: 0.04, dragCoefficient: 0.45 },
  { name: 'tennis ball', massKg: 0.0577, diameterM: 0.067, dragCoefficient: 0.55 },
  { name: 'shuttlecock', massKg: 0.0052, diameterM: 0.066, dragCoefficient: 0.5377 },
  { name: 'table-tennis ball', massKg: 0.0027, diameterM: 0.04, dragCoefficient: 0.47 },
  { name: 'volleyball', massKg: 0.27, diameterM: 0.21, dragCoefficient: 0.25 },
  { name: 'handball', massKg: 0.45, diameterM: 0.188, dragCoefficient: 0.3 },
  { name: 'basketball', massKg: 0.62, diameterM: 0.243, dragCoefficient: 0.5 },
  { name: 'football (size 5)', massKg: 0.43, diameterM: 0.22, dragCoefficient: 0.25 },
  { name: 'baseball', massKg: 0.145, diameterM: 0.0732, dragCoefficient: 0.35 },
  { name: 'cricket ball', massKg: 0.16, diameterM: 0.072, dragCoefficient: 0.4 },
];

/** kg/m³, near sea level at 20 °C. */
export const AIR_DENSITY = 1.2;

/** Metres per second in one of each unit of speed. */
export const SPEED_UNITS = { 'm/s': 1, 'km/h': 1 / 3.6, mph: 0.44704 } as const;
export type SpeedUnit = keyof typeof SPEED_UNITS;

/** A speed in its unit, as m/s. */
export const toMetresPerSecond = (speed: number, unit: SpeedUnit): number =>
  speed * SPEED_UNITS[unit];

/** A speed in m/s, in the unit asked for. */
export const fromMetresPerSecond = (speed: number, unit: SpeedUnit): number =>
  speed / SPEED_UNITS[unit];
