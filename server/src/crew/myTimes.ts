import type { MyTimes } from '@unity-acre/contract/crew';
import { headsOf } from '@unity-acre/core/crew';
import type { Handlers } from '../http/handle.ts';
import { type PersonEntity, people } from './entity.ts';

const timesView = (person: PersonEntity): MyTimes => ({
  availability: person.availability,
  cannot: person.cannot,
  ratherNot: person.ratherNot,
  mostPerWeek: person.mostPerWeek,
  skills: person.skills,
  heads: headsOf(person.kind, person.headcount, person.children),
  version: person.version,
});

/** What people say of themselves, without asking a coordinator. */
export const myTimesRoutes: Pick<Handlers, 'myTimes' | 'saveMyTimes'> = {
  myTimes: async ({ member }) => timesView(member.person),

  saveMyTimes: ({ member: { person }, body, ifMatch, change }) =>
    change('person.saved', person.name, async (writing) => {
      const { id, gardenId: _, version: __, ...known } = person;
      return timesView(await writing.put(people, id, { ...known, ...body }, ifMatch));
    }),
};
