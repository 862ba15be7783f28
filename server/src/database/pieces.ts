import { type EntityManager, type EntitySchema, type FindOptionsWhere, MoreThan } from 'typeorm';
import { breathe } from '../heavy/breathe.ts';

/** Rows made into entities at a stretch. */
const PIECE = 300;

/** All rows of a condition in the order of their ids, as `find` gives them, with turns for others in between. */
export async function findInPieces<Row extends { id: string }>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  where: FindOptionsWhere<Row>,
): Promise<Row[]> {
  const rows: Row[] = [];
  for (let last = ''; ; ) {
    const piece = await manager.find(entity, {
      where: { ...where, id: MoreThan(last) },
      order: { id: 'ASC' },
      take: PIECE,
    } as never);
    rows.push(...piece);
    await breathe();
    if (piece.length < PIECE) return rows;
    last = piece.at(-1)!.id;
  }
}
