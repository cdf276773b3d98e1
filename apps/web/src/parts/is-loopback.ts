const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Whether a host name, by default this page's, only works on the machine itself. */
export const isLoopback = (host = window.location.hostname): boolean => LOOPBACK.includes(host);
