import type { MyTimes } from '@unity-acre/contract/crew';
import type { Handlers } from '../http/handle.ts';
import { type PersonEntity, people } from './entity.ts';

const timesView = ({ availability, cannot, ratherNot, mostPerWeek, version }: PersonEntity): MyTimes => ({
  availability,
  cannot,
  ratherNot,
  mostPerWeek,
  version,
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
