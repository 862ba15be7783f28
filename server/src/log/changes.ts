import { LessThan } from 'typeorm';
import { people } from '../crew/entity.ts';
import { checkCrew, ERASED, Names } from '../crew/index.ts';
import { takeBack } from '../database/undo.ts';
import type { Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import { BY_THE_CLOCK, type ChangeEntity, changes } from './entity.ts';
import { pageOf } from './page.ts';
import { checkUndo, looksUndoable } from './undoing.ts';

/** A change without its rows, which may be thousands. */
type Listed = Omit<ChangeEntity, 'rows'>;
const listed = {
  id: true,
  gardenId: true,
  at: true,
  personId: true,
  route: true,
  verb: true,
  what: true,
  entities: true,
  undoneById: true,
} as const;

/** Whoever it was about is erased, and is not brought back. */
const isForgotten = ({ what }: Listed): boolean => what === ERASED;

/** Changes that name somebody. */
const namesSomebody = ({ verb, entities }: Listed): boolean =>
  ['person', 'plotApplication', 'rollCall', 'hours'].includes(verb.split('.')[0]!) ||
  entities === null ||
  entities.split(',').includes(people.options.name);

export const changeRoutes: Pick<Handlers, 'changes' | 'undo'> = {
  changes: async ({ store, params, query, member }) => {
    const found = await store.manager.find(changes, {
      where: { gardenId: params.gardenId, ...(query.after ? { id: LessThan(query.after) } : {}) },
      order: { id: 'DESC' },
      select: listed,
      take: query.limit + 1,
    });
    const { rows, next } = pageOf(found, query.limit, (row) => row.id);
    const names = await Names.for(store.manager, member.person);
    const readable = new Set(names.readable().map(({ id }) => names.of(id)));
    // A name that somebody had before, or who is gone, is for coordinators alone; an undone change says the name once more.
    const mayBeNamed = (row: Listed) =>
      readable.has(row.what) ||
      (!names.hides(row.what) && (member.person.role === 'coordinator' || !namesSomebody(row)));
    return {
      changes: rows.map((row) => ({
        id: row.id,
        at: row.at,
        by: row.personId === BY_THE_CLOCK ? null : names.of(row.personId),
        verb: row.verb,
        what: mayBeNamed(row) ? row.what : '',
        undone: row.undoneById !== null,
        mayUndo: looksUndoable(row, member) && !isForgotten(row),
      })),
      next,
    };
  },

  undo: async ({ store, params, member, change }) => {
    const row = await store.manager.findOneBy(changes, params);
    if (!row) throw new Refusal('notFound');
    if (row.undoneById !== null || isForgotten(row)) throw new Refusal('cannotUndo');
    await checkUndo(store.manager, row, member);
    await change('change.undone', row.what, async (writing) => {
      // Undone in its turn, it asks for the same role.
      writing.route = row.route;
      await takeBack(writing, row);
      await checkCrew(writing.manager, params.gardenId);
    });
    return { ok: true };
  },
};
