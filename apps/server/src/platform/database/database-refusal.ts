/** The database cannot be used; the message says what to do about it. */
export class DatabaseRefusal extends Error {}
