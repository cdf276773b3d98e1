import { TextEncoder } from 'node:util';

// jsdom has none, and the router asks for one as it is loaded: imported before it.
Object.assign(globalThis, { TextEncoder });
