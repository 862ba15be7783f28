import type { Received } from '@unity-acre/contract/harvest';
import { addDays } from '@unity-acre/core/calendar';
import { totalsBy } from '@unity-acre/core/harvest';
import type { Destination } from '@unity-acre/core/log';
import { dayInSeason } from '@unity-acre/core/place';
import { Between, In, IsNull, Not } from 'typeorm';
import { people } from '../crew/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { byName } from '../http/order.ts';
import { entries } from '../log/entity.ts';

/** Where food goes that the garden gives away. */
const givenAway: readonly Destination[] = ['pantry', 'school', 'stand'];

interface Sum {
  cropId: string | null;
  destination: string | null;
  grams: number | null;
  unweighed: number;
}

export const harvestRoutes: Pick<Handlers, 'harvestTotals' | 'received'> = {
  harvestTotals: async ({ store, params, query: { year }, member: { garden } }) => {
    const first = dayInSeason(garden.latitude, year, 0);
    const next = dayInSeason(garden.latitude, year + 1, 0);
    // The database adds up: the pickings of a year are many, and the sums few.
    const sums = await store.manager
      .createQueryBuilder(entries, 'entry')
      .select('entry.cropId', 'cropId')
      .addSelect('entry.destination', 'destination')
      .addSelect('SUM(entry.grams)', 'grams')
      .addSelect('COUNT(*) - COUNT(entry.grams)', 'unweighed')
      .where({
        gardenId: params.gardenId,
        kind: 'harvest',
        on: Between(first, addDays(next, -1)),
      })
      .groupBy('entry.cropId')
      .addGroupBy('entry.destination')
      .getRawMany<Sum>();
    return {
      byCrop: totalsBy(sums, (sum) => sum.cropId ?? ''),
      byDestination: totalsBy(sums, (sum) => sum.destination ?? 'household'),
    };
  },

  received: async ({ store, params: { gardenId }, query: { year }, member: { garden } }) => {
    const { manager } = store;
    const first = dayInSeason(garden.latitude, year, 0);
    const next = dayInSeason(garden.latitude, year + 1, 0);
    const given: Received['given'] = await manager
      .createQueryBuilder(entries, 'entry')
      .select('entry.on', 'on')
      .addSelect('entry.cropId', 'cropId')
      .addSelect('entry.destination', 'destination')
      .addSelect('COALESCE(SUM(entry.grams), 0)', 'grams')
      .addSelect('COUNT(*) - COUNT(entry.grams)', 'unweighed')
      .where({
        ...{ gardenId, kind: 'harvest', destination: In([...givenAway]) },
        ...{ cropId: Not(IsNull()), on: Between(first, addDays(next, -1)) },
      })
      .groupBy('entry.on')
      .addGroupBy('entry.cropId')
      .addGroupBy('entry.destination')
      .orderBy('entry.on', 'DESC')
      .getRawMany();
    const coordinators = await manager.findBy(people, {
      ...{ gardenId, role: 'coordinator', retiredOn: IsNull(), email: Not(IsNull()) },
    });
    return {
      given,
      contacts: coordinators
        .map(({ name, email }) => ({ name, email: email! }))
        .sort((a, b) => byName(a.name, b.name)),
    };
  },
};
