const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Whether this page's address is one that no other device can open. */
export const isLoopback = (): boolean => LOOPBACK.includes(window.location.hostname);
