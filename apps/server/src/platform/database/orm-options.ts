import { Migrator } from '@mikro-orm/migrations';
import { defineConfig, type Options } from '@mikro-orm/postgresql';
import { standbyOptions } from './standby.js';

/** The tables of an application, and how they came to be. */
export type Tables = Pick<Options, 'entities'> & {
  readonly migrations: NonNullable<NonNullable<Options['migrations']>['migrationsList']>;
};

/** How the ORM meets the database at an address, and a standby of it at another. */
export const ormOptions = (
  clientUrl: string,
  { entities, migrations }: Tables,
  standbyUrl: string | null = null,
): Options =>
  defineConfig({
    clientUrl,
    entities: entities ?? [],
    extensions: [Migrator],
    migrations: {
      migrationsList: migrations,
      tableName: 'migration',
      snapshot: false,
      silent: true,
    },
    forceUtcTimezone: true,
    connect: true,
    ...(standbyUrl !== null && { replicas: [standbyOptions(standbyUrl)] }),
    // What is read where is chosen request by request.
    preferReadReplicas: false,
  });
