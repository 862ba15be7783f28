import { isSown } from '@unity-acre/core/season';
import { taskId } from '@unity-acre/core/work';
import { catalogueOf } from '../crops/index.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { type EntryEntity, entries } from '../log/entity.ts';
import { todayIn } from '../place/index.ts';
import { sessions } from '../work/entity.ts';
import { type PlantingEntity, plantings } from './entity.ts';
import { checkPlanting, knownFor } from './plantingChecks.ts';
import { plantingView, schedulesOf } from './schedules.ts';

export const sowAgainRoutes: Pick<Handlers, 'sowAgain'> = {
  sowAgain: async ({ store, member: { garden, person }, params, body, change }) => {
    const failed = await store.manager.findOneBy(plantings, params);
    if (!failed) throw new Refusal('notFound');
    const today = todayIn(garden, store.clock);
    // Its ground is free from tomorrow on.
    if (body.on <= today) throw invalid('on', 'inThePast');
    const name = (await catalogueOf(store.manager, garden.id)).crop(failed.cropId)?.name.en ?? failed.cropId;
    return change('planting.sownAgain', name, async (writing) => {
      const { manager } = writing;
      const [schedule] = await schedulesOf(manager, garden, [failed], today);
      const steps = schedule?.steps ?? [];
      const isUp = steps.some(({ kind, done }) => kind === 'emerge' && done);
      if (!isSown(steps) || isUp) throw invalid('on', 'nothingToSowAgain');
      const entry: Omit<EntryEntity, 'id' | 'gardenId' | 'version'> = {
        ...{ kind: 'failure', on: today, plantingId: failed.id, bedId: failed.bedId, cropId: failed.cropId },
        ...{ amountValue: null, amountUnit: null, grams: null, destination: null, seedsFrom: null, note: '' },
        ...{ personId: person.id, loggedAt: new Date(store.clock.now()).toISOString() },
        ...{ taskId: null, share: null, minutes: null, people: null },
      };
      await writing.put<EntryEntity>(entries, body.entryId, entry, undefined);
      const { id: _, gardenId: __, version: ___, ...same } = failed;
      const again = { ...same, startOn: body.on, pinned: false };
      await checkPlanting(manager, garden, body.id, again, await knownFor(manager, garden, [again], today));
      const row = await writing.put<PlantingEntity>(plantings, body.id, again, undefined);
      if (body.sessionId !== null) {
        const session = await manager.findOneBy(sessions, { id: body.sessionId, gardenId: garden.id });
        if (session?.state !== 'called') throw invalid('sessionId', 'unknownSession');
        const task = taskId(row.id, row.method === 'startIndoors' ? 'startIndoors' : 'sow');
        await writing.set(sessions, session, { taskIds: [...session.taskIds, task] });
      }
      return plantingView((await schedulesOf(manager, garden, [row], today))[0]!);
    });
  },
};
