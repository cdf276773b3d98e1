import { Workbox } from 'workbox-window';

/** The state of the app's offline version. */
export interface AppVersion {
  /** Whether the app opens offline; `null` until known. */
  readonly opensAlone: boolean | null;
  /** Whether a newer version is loaded and waiting. */
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

/** How often a page that stays open checks for a new version. */
const LOOK_EVERY_MS = 60 * 60 * 1000;

/** Installs the service worker, if the browser allows it; a newer version waits until it is accepted. */
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
    // The page is not secure, or service workers are disabled: the app works as before, but not offline.
    tell({ opensAlone: false });
  }
}

/** Activates the newer version. */
export function takeNewer(): void {
  worker?.addEventListener('controlling', () => window.location.reload());
  worker?.messageSkipWaiting();
}

/** The browser's event for installing the app on the device. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

let offer: InstallOffer | null = null;

/** Listens for the browser's offer to install the app, which comes only once and early. */
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
