import { trust as en } from './en/trust.js';
import { speaker } from './say.js';

/** What is said of trusting a server. */
export const say = speaker(en);

/** Kinds of devices that install a certificate differently. */
export const DEVICE_KINDS = [
  ['ios', say('ios')],
  ['android', say('android')],
  ['windows', say('windows')],
  ['mac', say('mac')],
  ['linux', say('linux')],
] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number][0];

/** The kind of device, from its user agent. */
export function kindOfDevice(userAgent: string): DeviceKind {
  if (/iPhone|iPad/.test(userAgent)) return 'ios';
  if (/Android/.test(userAgent)) return 'android';
  if (/Windows/.test(userAgent)) return 'windows';
  return /Mac OS X/.test(userAgent) ? 'mac' : 'linux';
}

/** What to do on a device once it has the certificate. */
export function trustSteps(kind: DeviceKind): readonly string[] {
  switch (kind) {
    case 'ios':
      return [say('ios1'), say('ios2')];
    case 'android':
      return [say('android1'), say('android2')];
    case 'windows':
      return [say('windows1'), say('windows2')];
    case 'mac':
      return [say('mac1'), say('mac2')];
    case 'linux':
      return [say('linux1'), say('linux2')];
  }
}
