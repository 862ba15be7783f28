import { GEO_FILE_BYTES, type LayoutInput } from '@unity-acre/contract/ground';
import { type DrawnThing, toGeoJson } from '@unity-acre/core/ground';
import { rollup } from 'd3-array';
import { v7 as newId } from 'uuid';
import type { Writing } from '../database/change.ts';
import { heavy } from '../heavy/pool.ts';
import { type Handlers, prepared } from '../http/handle.ts';
import { invalid } from '../http/refusal.ts';
import { takeBytes } from '../http/upload.ts';
import { type GardenEntity, gardens } from '../place/entity.ts';
import { gardenView } from '../place/index.ts';
import { type BedEntity, beds, type LandmarkEntity, landmarks } from './entity.ts';
import { bedViews, landmarkView } from './views.ts';

/** Writes beds and landmarks as one change. @throws Refusal where a name is taken or a version is stale */
async function write(writing: Writing, gardenId: string, layout: LayoutInput): Promise<void> {
  const known = await writing.manager.find(beds, { where: { gardenId }, select: { id: true, name: true } });
  const names = new Map(known.map(({ id, name }) => [id, name]));
  for (const { id, name } of layout.beds) names.set(id, name);
  const times = rollup(
    names.values(),
    (all) => all.length,
    (name) => name,
  );
  for (const [i, { name }] of layout.beds.entries()) {
    if (times.get(name)! > 1) throw invalid(`beds.${i}.name`, 'nameTaken');
  }
  await writing.putAll<BedEntity>(
    beds,
    layout.beds.map(({ id, version, ...values }) => ({ id, version, values })),
  );
  await writing.putAll<LandmarkEntity>(
    landmarks,
    layout.landmarks.map(({ id, version, ...values }) => ({ id, version, values })),
  );
}

const originOf = ({ latitude, longitude, ground }: GardenEntity) => ({
  latitude,
  longitude,
  north: ground.north,
});

/** A name that no bed has: what the file says, else the next number. */
function freeName(said: string, taken: Set<string>): string {
  let name = said;
  for (let n = said ? 2 : taken.size + 1; name === '' || taken.has(name); n++) {
    name = said ? `${said.slice(0, 34)} (${n})` : `Bed ${n}`;
  }
  taken.add(name);
  return name;
}

/** What a file draws as rows to put in. Drawn again under the same name, a bed is changed and not doubled. */
function layoutOf(
  things: readonly DrawnThing[],
  known: readonly { id: string; name: string; version: number; offsetC: number; note: string }[],
): LayoutInput {
  const byName = new Map(known.map((bed) => [bed.name, bed]));
  const taken = new Set(byName.keys());
  const layout: LayoutInput = { beds: [], landmarks: [] };
  for (const thing of things) {
    const shape = { ...thing.shape, points: thing.shape.points && [...thing.shape.points] };
    if (thing.what === 'landmark') {
      const { kind, name, height } = thing;
      layout.landmarks.push({ id: newId(), version: null, kind, name, height, ...shape });
      continue;
    }
    const { kind, height, soilDepth } = thing;
    const before = byName.get(thing.name);
    byName.delete(thing.name);
    layout.beds.push({
      id: before?.id ?? newId(),
      version: before?.version ?? null,
      name: before?.name ?? freeName(thing.name, taken),
      kind,
      height,
      soilDepth,
      offsetC: before?.offsetC ?? 0,
      note: before?.note ?? '',
      ...shape,
    });
  }
  return layout;
}

type LayoutRoutes = Pick<Handlers, 'saveLayout' | 'saveGroundRules' | 'groundFile' | 'importGround'>;

export const layoutRoutes: LayoutRoutes = {
  saveLayout: ({ member, params: { gardenId }, body, change }) => {
    const names = body.beds.map(({ name }) => name);
    const what = names.length > 3 ? `${names.slice(0, 3).join(', ')} …` : names.join(', ');
    return change('layout.saved', what, async (writing) => {
      await write(writing, gardenId, body);
      const [bedIds, markIds] = [new Set(body.beds.map(({ id }) => id)), body.landmarks.map(({ id }) => id)];
      const marks = await writing.manager.findBy(landmarks, { gardenId });
      return {
        beds: (await bedViews(writing.manager, member.person)).filter(({ id }) => bedIds.has(id)),
        landmarks: marks.filter(({ id }) => markIds.includes(id)).map(landmarkView),
      };
    });
  },

  saveGroundRules: ({ member: { garden }, body, ifMatch, change, store }) =>
    change('groundRules.saved', '', async (writing) => {
      const { id, gardenId: _, version: __, ...values } = garden;
      const row = await writing.put(gardens, id, { ...values, ground: body }, ifMatch);
      return gardenView(writing.manager, row, store.clock);
    }),

  groundFile: async ({ member: { garden, person }, store, response }) => {
    response.setHeader('content-disposition', 'attachment; filename="ground.geojson"');
    const drawnBeds = (await bedViews(store.manager, person)).map(
      ({ name, kind, height, soilDepth, ...shape }): DrawnThing => ({
        what: 'bed',
        name,
        kind,
        height,
        soilDepth,
        shape,
      }),
    );
    const marks = (await store.manager.findBy(landmarks, { gardenId: garden.id })).map(
      ({ name, kind, height, ...shape }): DrawnThing => ({ what: 'landmark', name, kind, height, shape }),
    );
    return `${JSON.stringify(toGeoJson([...drawnBeds, ...marks], originOf(garden)), null, 1)}\n`;
  },

  importGround: prepared(
    async ({ request, query, member: { garden } }) => {
      const bytes = await takeBytes(request, GEO_FILE_BYTES, () =>
        invalid('file', `fileTooLarge:${GEO_FILE_BYTES / 1_000_000}`),
      );
      return heavy('readGround', { bytes, origin: originOf(garden), dry: query.dry === 'yes' });
    },
    async ({ member: { garden }, query, change }, { things: drawn, ...counts }) => {
      if (query.dry === 'yes' || counts.beds + counts.landmarks === 0) return { ...counts, saved: false };
      const things = JSON.parse(drawn) as DrawnThing[];
      await change('layout.imported', '', async (writing) => {
        const known = await writing.manager.findBy(beds, { gardenId: garden.id });
        await write(writing, garden.id, layoutOf(things, known));
      });
      return { ...counts, saved: true };
    },
  ),
};
