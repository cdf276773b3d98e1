import { existsSync } from 'node:fs';

const CHROMIUM = '/usr/bin/chromium';
/** The same browser without what draws windows: the same stories take a fifth less time. */
const SHELL = '/usr/bin/chromium-headless-shell';

const args = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  // A microphone that hears beeps; a story allows it or not.
  '--use-fake-device-for-media-stream',
];

/** The whole browser, for what the shell does not have: a camera and a microphone. */
export const wholeChromium = { executablePath: CHROMIUM, args };

/** What stories are told in. */
export const chromium = { ...wholeChromium, executablePath: existsSync(SHELL) ? SHELL : CHROMIUM };
