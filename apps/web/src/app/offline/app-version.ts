import { Workbox } from 'workbox-window';

/** What is known of how this app opens without a network. */
export interface AppVersion {
  /** It opens without a network; `null` while that is not known yet. */
  readonly opensAlone: boolean | null;
  /** A newer one has come, and waits to be taken. */
  readonly isNewerThere: boolean;
}

let state: AppVersion = { opensAlone: null, isNewerThere: false };
const listeners = new Set<() => void>();
let worker: Workbox | null = null;

export const appVersion = (): AppVersion => state;

export const onAppVersion = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

function tell(change: Partial<AppVersion>): void {
  state = { ...state, ...change };
  for (const listener of listeners) listener();
}

/** Looks so often whether a newer version is there, on a page that is open for days. */
const LOOK_EVERY_MS = 60 * 60 * 1000;

/** Has the browser put the app aside, where it lets a page do that; a newer one waits until it is taken. */
export async function putAppAside(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) {
    tell({ opensAlone: false });
    return;
  }
  worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', () => tell({ isNewerThere: true }));
  try {
    const registration = await worker.register();
    await navigator.serviceWorker.ready;
    tell({ opensAlone: true });
    setInterval(() => void registration?.update().catch(() => undefined), LOOK_EVERY_MS);
  } catch {
    // Not a secure page, or the browser has it switched off: the app goes on as it did.
    tell({ opensAlone: false });
  }
}

/** Takes the newer version, here and now. */
export function takeNewer(): void {
  worker?.addEventListener('controlling', () => window.location.reload());
  worker?.messageSkipWaiting();
}

/** What a browser fires where it would put the app beside the others on the device. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

let offer: InstallOffer | null = null;

/** Listens for the browser's offer to install the app; it is made once, and early. */
export function hearInstallOffer(): void {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    offer = event as InstallOffer;
    tell({});
  });
  window.addEventListener('appinstalled', () => {
    offer = null;
    tell({});
  });
}

export const installOffer = (): (() => void) | null => {
  const made = offer;
  return made && (() => void made.prompt());
};
