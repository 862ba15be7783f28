import { type EntityManager, In } from 'typeorm';

/**
 * Takes their names from rows that are about to get others, so that they may take over each other's. No database holds a
 * unique name back until the end of a transaction in the same way; a name that nobody else can have is as good.
 */
export async function parkNames(
  manager: EntityManager,
  entity: string,
  ids: readonly string[],
): Promise<void> {
  if (ids.length < 2) return;
  const { indices, foreignKeys, tableName } = manager.connection.getMetadata(entity);
  const referring = new Set(
    foreignKeys.flatMap(({ columns }) => columns.map(({ propertyName }) => propertyName)),
  );
  const names = indices
    .filter(({ isUnique }) => isUnique)
    .flatMap(({ columns }) => columns)
    .filter(
      ({ type, propertyName }) =>
        type === 'varchar' && propertyName !== 'gardenId' && !referring.has(propertyName),
    )
    .map(({ databaseName }) => databaseName);
  for (const name of new Set(names)) {
    await manager
      .createQueryBuilder()
      .update(tableName)
      .set({ [name]: () => "'~' || id" })
      .where({ id: In([...ids]) })
      .andWhere(`"${name}" IS NOT NULL`)
      .execute();
  }
}
