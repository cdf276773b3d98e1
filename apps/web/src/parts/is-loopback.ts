const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Whether an address, this page's unless another is given, is one that no other device can open. */
export const isLoopback = (host = window.location.hostname): boolean => LOOPBACK.includes(host);
