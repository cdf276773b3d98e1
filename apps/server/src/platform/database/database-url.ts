/** Injection token for the database's address, for services that open a connection of their own. */
export const DATABASE_URL = Symbol('DATABASE_URL');
