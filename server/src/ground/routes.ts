import { v7 as newId } from 'uuid';
import { agreements, careChecks, people } from '../crew/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { entries } from '../log/entity.ts';
import { todayIn } from '../place/index.ts';
import { plantings } from '../season/entity.ts';
import { beds, landmarks, tenures } from './entity.ts';
import { layoutRoutes } from './layout.ts';
import { bedRecords } from './records.ts';
import { underlayRoutes } from './underlay.ts';
import { bedViews, landmarkView } from './views.ts';

type BedRoutes = Pick<
  Handlers,
  | 'beds'
  | 'bedRecords'
  | 'saveBed'
  | 'removeBed'
  | 'saveTenure'
  | 'landmarks'
  | 'saveLandmark'
  | 'removeLandmark'
>;

const bedRoutes: BedRoutes = {
  beds: ({ store, member }) => bedViews(store.manager, member.person),

  bedRecords: ({ store, member: { garden } }) =>
    bedRecords(store.manager, garden, todayIn(garden, store.clock)),

  saveBed: ({ member, params, body, ifMatch, change }) =>
    change('bed.saved', body.name, async (writing) => {
      const same = await writing.manager.findOneBy(beds, { gardenId: params.gardenId, name: body.name });
      if (same && same.id !== params.id) throw invalid('name', 'nameTaken');
      await writing.put(beds, params.id, body, ifMatch);
      return (await bedViews(writing.manager, member.person, params.id))[0]!;
    }),

  removeBed: async ({ store, params, ifMatch, change }) => {
    const bed = await store.manager.findOneBy(beds, params);
    if (!bed) throw new Refusal('notFound');
    await change('bed.removed', bed.name, async (writing) => {
      const ofBed = { bedId: bed.id };
      const used =
        (await writing.manager.countBy(plantings, ofBed)) + (await writing.manager.countBy(entries, ofBed));
      if (used > 0) throw new Refusal('inUse');
      for (const row of await writing.manager.findBy(tenures, ofBed)) await writing.removeFound(tenures, row);
      for (const row of await writing.manager.findBy(agreements, ofBed)) {
        await writing.removeFound(agreements, row);
      }
      for (const row of await writing.manager.findBy(careChecks, ofBed)) {
        await writing.removeFound(careChecks, row);
      }
      await writing.remove(beds, bed.id, ifMatch);
    });
    return { ok: true };
  },

  saveTenure: async ({ store, member, params: { gardenId, bedId, year }, body, ifMatch, change }) => {
    const bed = await store.manager.findOneBy(beds, { id: bedId, gardenId });
    if (!bed) throw new Refusal('notFound');
    return change('tenure.saved', bed.name, async (writing) => {
      const { manager } = writing;
      if (body.personId && !(await manager.existsBy(people, { id: body.personId, gardenId }))) {
        throw invalid('personId', 'unknownPerson');
      }
      const known = await manager.findOneBy(tenures, { bedId, year });
      await writing.put(tenures, known?.id ?? newId(), { ...body, bedId, year }, ifMatch);
      return (await bedViews(manager, member.person, bedId))[0]!;
    });
  },

  landmarks: async ({ store, params }) => (await store.manager.findBy(landmarks, params)).map(landmarkView),

  saveLandmark: ({ params, body, ifMatch, change }) =>
    change('landmark.saved', body.kind, async (writing) =>
      landmarkView(await writing.put(landmarks, params.id, body, ifMatch)),
    ),

  removeLandmark: async ({ params, ifMatch, change }) => {
    await change('landmark.removed', '', (writing) => writing.remove(landmarks, params.id, ifMatch));
    return { ok: true };
  },
};

export const groundRoutes = { ...bedRoutes, ...layoutRoutes, ...underlayRoutes };
