import type { DataSource, EntityManager, EntitySchema } from 'typeorm';

/** A column as the program knows it and as the table has it. */
interface Column {
  property: string;
  column: string;
  type: unknown;
}

export type Row = Record<string, unknown>;

export const columnsOf = (entity: EntitySchema<object>): Column[] =>
  Object.entries(entity.options.columns as Record<string, { type: unknown; name?: string }>).map(
    ([property, { type, name }]) => ({ property, column: name ?? property, type }),
  );

/** A row as it stands in SQLite, as an object with the program's names: lists and objects as such, yes and no as such. */
export function openRow(columns: readonly Column[], raw: Row): Row {
  return Object.fromEntries(
    columns.map(({ property, column, type }) => {
      const value = raw[column] ?? null;
      if (value === null) return [property, null];
      if (type === 'simple-json') return [property, JSON.parse(String(value))];
      if (type === 'boolean') return [property, value === 1];
      return [property, value];
    }),
  );
}

/** A statement that is asked again and again, and what its rows are made of. */
interface Asked {
  sql: string;
  columns: Column[];
}

const statements = new WeakMap<DataSource, Map<string, Asked>>();

function statementFor({ connection }: EntityManager, entity: EntitySchema<object>, by: string[]): Asked {
  const known = statements.get(connection) ?? new Map<string, Asked>();
  statements.set(connection, known);
  const key = `${entity.options.name} ${by.join(' ')}`;
  const before = known.get(key);
  if (before) return before;
  const { driver } = connection;
  const columns = columnsOf(entity);
  const conditions = by.map((property, i) => {
    const { column } = columns.find((one) => one.property === property)!;
    return `${driver.escape(column)} = ${driver.createParameter(property, i)}`;
  });
  const table = driver.escape(connection.getMetadata(entity).tableName);
  const asked = { columns, sql: `SELECT * FROM ${table} WHERE ${conditions.join(' AND ')}` };
  known.set(key, asked);
  return asked;
}

/**
 * The rows in which some columns have these values, as `findBy` gives them, in no order. The statement is built once: for what
 * every request asks, building it takes longer than asking.
 */
export async function rowsWhere<R extends object>(
  manager: EntityManager,
  entity: EntitySchema<R>,
  where: { [Property in keyof R]?: string | number },
): Promise<R[]> {
  const { sql, columns } = statementFor(manager, entity as EntitySchema<object>, Object.keys(where));
  const rows: Row[] = await manager.query(sql, Object.values(where));
  return rows.map((raw) => openRow(columns, raw) as R);
}

/** The first of such rows; null where there is none. */
export const rowWhere = async <R extends object>(
  manager: EntityManager,
  entity: EntitySchema<R>,
  where: { [Property in keyof R]?: string | number },
): Promise<R | null> => (await rowsWhere(manager, entity, where))[0] ?? null;
