import type { Garden } from '@unity-acre/contract/place';
import type { Clock } from '../database/store.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid } from '../http/refusal.ts';
import { type GardenEntity, gardens } from './entity.ts';
import { todayIn } from './today.ts';

function gardenView(row: GardenEntity, clock: Clock): Garden {
  const { gardenId: _, setToday, ...garden } = row;
  return { ...garden, today: todayIn(row, clock), clockIsSet: setToday !== null };
}

export const placeRoutes: Pick<Handlers, 'garden' | 'saveGarden' | 'setClock'> = {
  garden: async ({ member, store }) => gardenView(member.garden, store.clock),

  saveGarden: ({ member: { garden }, body, ifMatch, change, store }) =>
    change('garden.saved', body.name, async (writing) => {
      const values = { ...body, setToday: garden.setToday };
      return gardenView(await writing.put(gardens, garden.id, values, ifMatch), store.clock);
    }),

  setClock: async ({ member: { garden }, body, store }) => {
    if (garden.setToday === null) throw invalid('today', 'clockRuns');
    await store.gate.write(() => store.manager.update(gardens, { id: garden.id }, { setToday: body.today }));
    return gardenView({ ...garden, setToday: body.today }, store.clock);
  },
};
