import type { PutOff } from '@unity-acre/contract/work';
import { MoreThanOrEqual } from 'typeorm';
import type { Handlers } from '../../http/handle.ts';
import { todayIn } from '../../place/index.ts';
import { type PutOffEntity, putOffs } from '../entity.ts';

const putOffView = ({ id, matter, until }: PutOffEntity): PutOff => ({ id, matter, until });

export const putOffRoutes: Pick<Handlers, 'putOffs' | 'putOff'> = {
  putOffs: async ({ store, member: { garden } }) => {
    const until = MoreThanOrEqual(todayIn(garden, store.clock));
    return (await store.manager.findBy(putOffs, { gardenId: garden.id, until })).map(putOffView);
  },

  putOff: ({ params: { gardenId }, body: { id, ...values }, change }) =>
    change('decision.putOff', '', async (writing) => {
      const known = await writing.manager.findOneBy(putOffs, { gardenId, matter: values.matter });
      return putOffView(
        known
          ? await writing.set(putOffs, known, values)
          : await writing.put<PutOffEntity>(putOffs, id, values, undefined),
      );
    }),
};
