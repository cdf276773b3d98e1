import { LONGEST_DEVICE_NAME } from '@orthokin/core/people';

const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\//, 'Chromium'],
  [/Safari\//, 'Safari'],
] as const;
const SYSTEMS = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Mac OS X/, 'Mac'],
  [/Windows/, 'Windows'],
  [/Linux/, 'Linux'],
] as const;

/** A short name for a device, from its user agent, that its owner recognises in a list and that identifies nobody. */
export function deviceName(userAgent: string | undefined): string {
  const said = userAgent ?? '';
  const named = [SYSTEMS, BROWSERS].flatMap(
    (names) => names.find(([pattern]) => pattern.test(said))?.[1] ?? [],
  );
  return (named.join(', ') || said || 'unknown').slice(0, LONGEST_DEVICE_NAME);
}
