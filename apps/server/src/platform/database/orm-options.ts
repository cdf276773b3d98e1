import { Migrator } from '@mikro-orm/migrations';
import { defineConfig, type Options } from '@mikro-orm/postgresql';
import { standbyOptions } from './standby.js';

/** An application's entities and migrations. */
export type Tables = Pick<Options, 'entities'> & {
  readonly migrations: NonNullable<NonNullable<Options['migrations']>['migrationsList']>;
};

/** MikroORM's options for a database and, optionally, a standby of it. */
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
    // {@link Standby} decides request by request where to read; the ORM must not.
    preferReadReplicas: false,
  });
