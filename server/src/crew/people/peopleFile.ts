import { peopleFields } from '@unity-acre/contract/crew';
import { csvOf } from '@unity-acre/contract/csv';
import { v7 as newId } from 'uuid';
import { heavy } from '../../heavy/pool.ts';
import { type Handlers, prepared } from '../../http/handle.ts';
import { invalid } from '../../http/refusal.ts';
import { type PersonEntity, people } from '../entity.ts';

export const peopleFileRoutes: Pick<Handlers, 'peopleFile' | 'readPeopleFile'> = {
  peopleFile: async ({ store, params: { gardenId }, response }) => {
    response.setHeader('content-disposition', 'attachment; filename="people.csv"');
    const rows = await store.manager.find(people, { where: { gardenId }, order: { name: 'ASC' } });
    return csvOf([
      peopleFields,
      ...rows.map((row) =>
        peopleFields.map((field) => {
          if (field === 'pledged' && row.pledged) return row.pledged / 60;
          // Without signs that a spreadsheet would compute with, a number need not be guarded from it.
          return field === 'phone'
            ? row.phone
                .replace(/[().-]+/g, ' ')
                .replace(/ +/g, ' ')
                .trim()
            : row[field];
        }),
      ),
    ]);
  },

  readPeopleFile: prepared(
    async ({ store, params: { gardenId }, body: { csv, mapping } }) => {
      const here = await store.manager.find(people, {
        where: { gardenId },
        select: { id: true, name: true, email: true },
      });
      return heavy('readPeople', { csv, mapping, here: here.map(({ name, email }) => ({ name, email })) });
    },
    async ({ params: { gardenId }, body, change }, { read, fresh }) => {
      if (body.dry) return read;
      if (!read.mapping.name) throw invalid('mapping', 'noNameColumn');
      return change('people.imported', String(read.rows.length), async (writing) => {
        // Somebody may have come into the garden while the file was read.
        const here = await writing.manager.find(people, {
          where: { gardenId },
          select: { id: true, name: true, email: true },
        });
        const known = new Set(here.flatMap(({ name, email }) => [name.toLowerCase(), email ?? '']));
        const added = fresh.filter(
          ({ name, email }) => !known.has(name.toLowerCase()) && !(email && known.has(email)),
        );
        for (const person of added) {
          const values = { ...person, accountId: null, retiredOn: null };
          await writing.put<PersonEntity>(people, newId(), values, undefined);
        }
        return { ...read, added: added.length };
      });
    },
  ),
};
