/** The database cannot be used; the message says what to do. */
export class DatabaseRefusal extends Error {}
