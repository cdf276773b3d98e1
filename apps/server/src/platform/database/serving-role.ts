import type { EntityManager } from '@mikro-orm/postgresql';
import pg from 'pg';
import PgBoss from 'pg-boss';
import { DatabaseRefusal } from './database-refusal.js';

/** The schema of the job queue's tables. */
export const JOBS_SCHEMA = 'jobs';

/** pg-boss's own statements for its tables, without `create schema`, which the serving role may not do. */
const queueTables = (): string =>
  PgBoss.getConstructionPlans(JOBS_SCHEMA).replace(/create schema if not exists \w+\s*;/i, '');

/**
 * Grants the serving role the use of the tables, and the job queue's schema as its own, which holds no club data.
 * Safe to repeat.
 */
export async function letServe(em: EntityManager, servingUrl: string): Promise<void> {
  const role = decodeURIComponent(new URL(servingUrl).username);
  const named = `"${role.replaceAll('"', '""')}"`;
  await em.execute(`
    grant usage on schema public to ${named};
    grant select, insert, update, delete on all tables in schema public to ${named};
    grant usage on all sequences in schema public to ${named};
    grant execute on all functions in schema public to ${named}`);
  const [jobs] = await em.execute<{ owner: string }[]>(
    `select rolname as owner from pg_namespace join pg_roles r on r.oid = nspowner
     where nspname = '${JOBS_SCHEMA}'`,
  );
  if (jobs?.owner === role) return;
  // Waiting jobs can be dropped with the old schema: whoever needs one asks for it again.
  await em.execute(
    `drop schema if exists ${JOBS_SCHEMA} cascade; create schema ${JOBS_SCHEMA} authorization ${named}`,
  );
  const client = new pg.Client({ connectionString: servingUrl });
  await client.connect();
  try {
    await client.query(queueTables());
  } finally {
    await client.end();
  }
}

/** Refuses to serve as a role that bypasses row-level security. */
export async function refuseWithoutWalls(em: EntityManager): Promise<void> {
  const [row] = await em.execute<{ stands: boolean; role: string }[]>(
    `select row_security_active('athlete') as stands, current_user as role`,
  );
  if (row?.stands) return;
  const role = row?.role ?? '';
  throw new DatabaseRefusal(
    `The role ${role} owns the tables: the database would show every club to everybody. Make one that owns nothing ("create role orthokin_serving login password '…'; grant orthokin_serving to ${role}"), and give its address as SERVING_DATABASE_URL.`,
  );
}
