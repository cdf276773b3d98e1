/** How a missing value is written, as in PostgreSQL's COPY format; no JSON text reads like this. */
const NULL = '\\N';

/**
 * Rows to be inserted by one statement, gathered as one text per column with a line for each row. PostgreSQL reads
 * that faster than a JSON array of rows, and for the garbage collector lines are little work compared with objects.
 *
 * For values whose text has no line break: JSON, ids, numbers, moments and the contract's names.
 */
export class ColumnLines<Column extends string> {
  private readonly columns: readonly {
    readonly name: Column;
    readonly type: string;
    readonly lines: string[];
  }[];

  /** @param types the SQL type of each column */
  constructor(types: Readonly<Record<Column, string>>) {
    const named = Object.entries<string>(types) as [Column, string][];
    this.columns = named.map(([name, type]) => ({ name, type, lines: [] }));
  }

  /** Adds a row; a missing value is stored as null. */
  add(row: Readonly<Record<Column, string | number | boolean | null | undefined>>): void {
    for (const { name, lines } of this.columns) {
      const text = String(row[name] ?? NULL);
      // Lines of different rows would end up in one row.
      if (text === '' || text.includes('\n')) throw new Error(`${name} does not fit on a line.`);
      lines.push(text);
    }
  }

  /** Whether no row was added. */
  get isEmpty(): boolean {
    return this.columns.every(({ lines }) => lines.length === 0);
  }

  /** SQL that inserts the rows into a club's table; its parameters are the club's id, and then the {@link values}. */
  insertInto(table: string): string {
    const names = this.columns.map(({ name }) => name).join(', ');
    const selected = this.columns.map(({ name, type }) => `${name}::${type}`).join(', ');
    const tables = this.columns.map(() => `string_to_table(?, chr(10), '${NULL}')`).join(', ');
    return `insert into ${table} (club_id, ${names}) select ?::uuid, ${selected}
      from rows from (${tables}) as given (${names})`;
  }

  /** Each column's lines. */
  get values(): string[] {
    return this.columns.map(({ lines }) => lines.join('\n'));
  }
}
