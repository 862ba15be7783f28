import type { EntitySchemaColumnOptions, EntitySchemaOptions } from 'typeorm';

/* Column kinds that mean the same in SQLite and in PostgreSQL. */
const column = (type: 'varchar' | 'text' | 'integer' | 'double precision' | 'simple-json' | 'boolean') => ({
  type,
  nullable: false as boolean,
});

export const text = (): EntitySchemaColumnOptions => column('varchar');
export const longText = (): EntitySchemaColumnOptions => column('text');
export const whole = (): EntitySchemaColumnOptions => column('integer');
export const real = (): EntitySchemaColumnOptions => column('double precision');
export const json = (): EntitySchemaColumnOptions => column('simple-json');
export const flag = (): EntitySchemaColumnOptions => column('boolean');
export const maybe = (options: EntitySchemaColumnOptions): EntitySchemaColumnOptions => ({
  ...options,
  nullable: true,
});
export const key = (): EntitySchemaColumnOptions => ({ ...text(), primary: true });
/** The columns every garden row begins with. */
export const gardenRow = () => ({ id: key(), gardenId: text(), version: whole() });

/** The foreign keys of a table, by column and the table whose id it holds. */
export const refersTo = (
  table: string,
  columns: Record<string, string>,
): EntitySchemaOptions<object>['foreignKeys'] =>
  Object.entries(columns).map(([column, target]) => ({
    name: `${table}_${column}`,
    target,
    columnNames: [column],
    referencedColumnNames: ['id'],
  }));
