/** The address of the database, for what needs a connection of its own. */
export const DATABASE_URL = Symbol('DATABASE_URL');
