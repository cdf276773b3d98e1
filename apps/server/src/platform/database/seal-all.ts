import type { EntityManager } from '@mikro-orm/postgresql';
import { privateKeys, Sealed } from '../storage/sealed.js';
import { seal, sealedWith, unseal } from '../storage/sealing.js';
import { DatabaseRefusal } from './database-refusal.js';

const AT_ONCE = 500;

interface Column {
  readonly table: string;
  readonly column: string;
}

/**
 * Encrypts all private columns with the newest key: plain values from before there were keys, and values under an
 * older key, which can be thrown away afterwards. Refuses to start if a key is missing, since values under it would
 * read as empty. Safe to repeat and to interrupt.
 */
export async function sealAll(em: EntityManager): Promise<void> {
  const keys = privateKeys();
  const [newest] = keys;
  const known = keys.map(({ name }) => name);
  const columns = sealedColumns(em);
  for (const each of columns) await refuseUnknown(em, each, known);
  if (!newest) return;
  for (const { table, column } of columns) {
    let rows: { ctid: string; stored: string }[];
    do {
      rows = await em.execute(
        `select ctid, "${column}" as stored from "${table}"
         where "${column}" is not null and not starts_with("${column}", ?) limit ${AT_ONCE}`,
        [`sealed:${newest.name}:`],
      );
      for (const { ctid, stored } of rows) {
        const text = sealedWith(stored) === null ? stored : unseal(stored, keys);
        if (text === null)
          throw new DatabaseRefusal(
            `A value of ${table}.${column} is not what its key sealed: it is damaged. Restore a backup, or empty that column of the row.`,
          );
        // Only if unchanged since it was read: whoever wrote meanwhile has encrypted it already.
        await em.execute(
          `update "${table}" set "${column}" = ? where ctid = ?::tid and "${column}" = ?`,
          [...[seal(text, newest), ctid, stored]],
        );
      }
    } while (rows.length > 0);
  }
}

const sealedColumns = (em: EntityManager): Column[] =>
  Object.values(em.getMetadata().getAll()).flatMap(({ tableName, props }) =>
    props
      .filter(({ customType }) => customType instanceof Sealed)
      .map(({ name, fieldNames }) => ({ table: tableName, column: fieldNames[0] ?? name })),
  );

async function refuseUnknown(
  em: EntityManager,
  { table, column }: Column,
  known: readonly string[],
): Promise<void> {
  const found = await em.execute<{ name: string }[]>(
    `select distinct split_part("${column}", ':', 2) as name from "${table}"
     where starts_with("${column}", 'sealed:')`,
  );
  const missing = found.find(({ name }) => !known.includes(name));
  if (missing)
    throw new DatabaseRefusal(
      `What is private in this database is sealed with the key ${missing.name}, which is not in PRIVATE_KEYS. Put it back: the secrets file of the machine it came from has it.`,
    );
}
