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
  private gathered = 0;

  /** @param types the SQL type of each column */
  constructor(types: Readonly<Record<Column, string>>) {
    const named = Object.entries<string>(types) as [Column, string][];
    this.columns = named.map(([name, type]) => ({ name, type, lines: [] }));
  }

  /** How many rows were added. */
  get count(): number {
    return this.gathered;
  }

  /** Adds a row; a missing value is stored as null. */
  add(row: Readonly<Record<Column, string | number | boolean | null | undefined>>): void {
    for (const { name, lines } of this.columns) {
      const text = String(row[name] ?? NULL);
      // Lines of different rows would end up in one row.
      if (text === '' || text.includes('\n')) throw new Error(`${name} does not fit on a line.`);
      lines.push(text);
    }
    this.gathered++;
  }

  /** The columns' names, separated by commas. */
  get names(): string {
    return this.columns.map(({ name }) => name).join(', ');
  }

  /** The columns with their types, for the `select` from {@link from}. */
  get selected(): string {
    return this.columns.map(({ name, type }) => `${name}::${type}`).join(', ');
  }

  /** What follows `from`, with a `?` for each of the {@link values}. */
  get from(): string {
    const tables = this.columns.map(() => `string_to_table(?, chr(10), '${NULL}')`);
    return `rows from (${tables.join(', ')}) as given (${this.names})`;
  }

  /** Each column's lines. */
  get values(): string[] {
    return this.columns.map(({ lines }) => lines.join('\n'));
  }
}
