import { addDays } from '@unity-acre/core/calendar';
import { inGarden, stationWeather } from '@unity-acre/core/place';
import { touch } from '../database/stamps.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid } from '../http/refusal.ts';
import { refuseSea } from './atSea.ts';
import { usualClimateOf } from './climate.ts';
import { gardens } from './entity.ts';
import { forecastFor } from './forecast.ts';
import { stationRoutes } from './station.ts';
import { todayIn } from './today.ts';
import { gardenView } from './view.ts';

/** How many days back the station's weather is shown. */
const SEEN_DAYS = 7;

type PlaceRoutes = Pick<
  Handlers,
  | 'garden'
  | 'saveGarden'
  | 'setClock'
  | 'saveNormals'
  | 'saveRules'
  | 'importStation'
  | 'removeStation'
  | 'weather'
>;

export const placeRoutes: PlaceRoutes = {
  ...stationRoutes,

  garden: ({ member, store }) => gardenView(store.manager, member.garden, store.clock),

  saveGarden: ({ member: { garden }, body, ifMatch, change, store }) =>
    change('garden.saved', body.name, async (writing) => {
      refuseSea(body);
      const { rules, ground, normals, recordId, setToday } = garden;
      const row = await writing.put(
        gardens,
        garden.id,
        { ...body, rules, ground, normals, recordId, setToday },
        ifMatch,
      );
      return gardenView(writing.manager, row, store.clock);
    }),

  saveNormals: ({ member: { garden }, body, ifMatch, change, store }) =>
    change('climate.saved', '', async (writing) => {
      const { id, gardenId: _, version: __, ...values } = garden;
      const row = await writing.put(gardens, id, { ...values, normals: body.normals }, ifMatch);
      return gardenView(writing.manager, row, store.clock);
    }),

  saveRules: ({ member: { garden }, body, ifMatch, change, store }) =>
    change('rules.saved', '', async (writing) => {
      const { id, gardenId: _, version: __, ...values } = garden;
      const row = await writing.put(gardens, id, { ...values, rules: body }, ifMatch);
      return gardenView(writing.manager, row, store.clock);
    }),

  weather: async ({ member: { garden }, store }) => {
    const today = todayIn(garden, store.clock);
    const climate = await usualClimateOf(store.manager, garden);
    return {
      seen: inGarden(stationWeather(climate, garden.id, addDays(today, -SEEN_DAYS), today), garden.offsetC),
      forecast: await forecastFor(store.manager, garden, today),
    };
  },

  setClock: async ({ member: { garden }, body, store, touched }) => {
    if (garden.setToday === null) throw invalid('today', 'clockRuns');
    await store.manager.update(gardens, { id: garden.id }, { setToday: body.today });
    await touch(store.manager, garden.id, [gardens.options.name]);
    touched('garden');
    return gardenView(store.manager, { ...garden, setToday: body.today }, store.clock);
  },
};
