import { isDeepStrictEqual } from 'node:util';
import type { Allotment, PlotApplication } from '@unity-acre/contract/crew';
import type { HouseRule, OfferedPlot } from '@unity-acre/core/crew';
import { distanceTo, groundArea } from '@unity-acre/core/ground';
import { type EntityManager, In } from 'typeorm';
import { v7 as newId } from 'uuid';
import { momentAfter } from '../database/moments.ts';
import { beds, landmarks, type TenureEntity, tenures } from '../ground/entity.ts';
import { breathe } from '../heavy/breathe.ts';
import { heavy } from '../heavy/pool.ts';
import { type Call, type Handlers, inTwoSteps, prepared } from '../http/handle.ts';
import { byName, inOrder } from '../http/order.ts';
import { invalid } from '../http/refusal.ts';
import type { GardenEntity } from '../place/entity.ts';
import { sunOf } from '../season/index.ts';
import type { Allotting } from './allotting.ts';
import type { Member } from './caller.ts';
import {
  type AllotmentEntity,
  allotments,
  type PersonEntity,
  type PlotApplicationEntity,
  people,
  plotApplications,
} from './entity.ts';
import { Letters } from './letters.ts';
import { Names } from './names.ts';

/** Beds that are plots in a season; where none is said yet, those of the season before. */
async function plotIds(manager: EntityManager, gardenId: string, year: number): Promise<string[]> {
  for (const season of [year, year - 1]) {
    const rows = await manager.findBy(tenures, { gardenId, year: season, kind: 'plot' });
    if (rows.length > 0) return rows.map(({ bedId }) => bedId);
  }
  return [];
}

/** The plots of a season with what people ask for. */
async function offeredPlots(
  manager: EntityManager,
  garden: GardenEntity,
  year: number,
): Promise<OfferedPlot[]> {
  const ids = await plotIds(manager, garden.id, year);
  const rows = await manager.findBy(beds, { gardenId: garden.id, id: In(ids) });
  await breathe();
  const taps = await manager.findBy(landmarks, { gardenId: garden.id, kind: 'tap' });
  const sun = await sunOf(manager, garden);
  await breathe();
  return rows
    .map((bed) => ({
      id: bed.id,
      name: bed.name,
      area: groundArea(bed),
      height: bed.height,
      tapDistance: taps.length === 0 ? null : Math.min(...taps.map((tap) => distanceTo(bed, tap))),
      sunHours: sun.get(bed.id) ?? null,
    }))
    .sort((a, b) => byName(a.name, b.name));
}

/** Applications of a season, the longest waiting first, with the plot held in the season before. */
async function applicationViews(
  manager: EntityManager,
  reader: PersonEntity,
  year: number,
): Promise<PlotApplication[]> {
  const { gardenId } = reader;
  const rows = await manager.findBy(plotApplications, { gardenId, year });
  await breathe();
  const names = await Names.for(manager, reader);
  const before = await manager.findBy(tenures, { gardenId, year: year - 1, kind: 'plot' });
  await breathe();
  const held = new Map(before.flatMap(({ personId, bedId }) => (personId ? [[personId, bedId]] : [])));
  return rows
    .map(({ gardenId: _, ...row }) => ({
      ...row,
      name: names.of(row.personId),
      holds: held.get(row.personId) ?? null,
    }))
    .sort((a, b) => inOrder(a.since, b.since) || byName(a.name, b.name));
}

/** What plots are given out by, as it stands. */
async function allottingOf(
  manager: EntityManager,
  { garden, person }: Member,
  year: number,
  { rule, seed }: { rule: HouseRule; seed: string },
): Promise<Allotting> {
  const plots = await offeredPlots(manager, garden, year);
  if (plots.length === 0) throw invalid('year', 'noPlots');
  await breathe();
  const views = await applicationViews(manager, person, year);
  if (views.length === 0) throw invalid('year', 'noApplications');
  await breathe();
  return { plots, views, rule, seed };
}

/** How plots were given out, as somebody may read it: the draw can be done again without the names. */
function allotmentView({ gardenId: _, record, ...row }: AllotmentEntity, names: Names): Allotment {
  const entrants = record?.entrants.map((entrant) => ({
    ...entrant,
    name: names.hides(entrant.name) ? '' : entrant.name,
  }));
  return { ...row, record: record && { ...record, entrants: entrants! } };
}

/** Looks at an allotment before it is kept, so that nobody waits for the looking. */
async function lookedAhead({ store, member, params, body }: Call<'giveOutPlots'>) {
  const allotting = await allottingOf(store.manager, member, params.year, body);
  return { allotting, look: await heavy('lookAtAllotment', allotting) };
}

type PlotRoutes = Pick<
  Handlers,
  | 'plotApplications'
  | 'savePlotApplication'
  | 'removePlotApplication'
  | 'lookAtAllotment'
  | 'giveOutPlots'
  | 'allotments'
>;

export const plotRoutes: PlotRoutes = {
  plotApplications: ({ store, member, params }) =>
    applicationViews(store.manager, member.person, params.year),

  savePlotApplication: async ({ store, member, params: { gardenId, year, id }, body, ifMatch, change }) => {
    const person = await store.manager.findOneBy(people, { id: body.personId, gardenId });
    if (!person) throw invalid('personId', 'unknownPerson');
    return change('plotApplication.saved', person.name, async (writing) => {
      const { manager } = writing;
      const same = await manager.findOneBy(plotApplications, { gardenId, year, personId: person.id });
      if (same && same.id !== id) throw invalid('personId', 'appliedTwice');
      const plots = new Set(await plotIds(manager, gardenId, year));
      const wishes = [...new Set(body.wishes)];
      if (!wishes.every((bedId) => plots.has(bedId))) throw invalid('wishes', 'unknownPlot');
      await writing.put<PlotApplicationEntity>(plotApplications, id, { ...body, year, wishes }, ifMatch);
      return (await applicationViews(manager, member.person, year)).find((one) => one.id === id)!;
    });
  },

  removePlotApplication: async ({ params: { id }, ifMatch, change }) => {
    await change('plotApplication.removed', '', (writing) => writing.remove(plotApplications, id, ifMatch));
    return { ok: true };
  },

  lookAtAllotment: inTwoSteps(
    ({ store, member, params, query }) => allottingOf(store.manager, member, params.year, query),
    (allotting) => heavy('lookAtAllotment', allotting),
  ),

  giveOutPlots: prepared(lookedAhead, ({ store, member, params: { year }, body, change }, ahead) =>
    change('plots.givenOut', String(year), async (writing) => {
      const { manager } = writing;
      const allotting = await allottingOf(manager, member, year, body);
      await breathe();
      const isSame = isDeepStrictEqual(allotting, ahead.allotting);
      const look = isSame ? ahead.look : await heavy('lookAtAllotment', allotting);
      const { places } = look[body.method];
      const applications = allotting.views;
      const letters = await Letters.of(writing, member.garden, store.clock);
      const names = new Map(look.plots.map(({ id, name }) => [id, name]));
      const takenBy = new Map(places.map(({ applicationId, bedId }) => [bedId, applicationId]));
      for (const { id: bedId } of look.plots) {
        const applicant = applications.find(({ id }) => id === takenBy.get(bedId));
        const known = await manager.findOneBy(tenures, { bedId, year });
        const values = { bedId, year, kind: 'plot' as const, personId: applicant?.personId ?? null };
        await writing.put<TenureEntity>(tenures, known?.id ?? newId(), values, known?.version);
        await breathe();
        if (!applicant) continue;
        await letters.write('plotGiven', applicant.personId, {
          bed: names.get(bedId) ?? '',
          by: body.acceptBy,
        });
      }
      const [last] = await manager.find(allotments, {
        where: { gardenId: member.garden.id, year },
        order: { at: 'DESC' },
        take: 1,
      });
      const row = await writing.put<AllotmentEntity>(
        allotments,
        newId(),
        {
          year,
          at: momentAfter(last?.at ?? null, store.clock.now()),
          method: body.method,
          rule: body.rule,
          record: body.method === 'draw' ? look.record : null,
          places,
        },
        undefined,
      );
      return allotmentView(row, await Names.for(manager, member.person));
    }),
  ),

  allotments: async ({ store, member, params: { gardenId, year } }) => {
    const names = await Names.for(store.manager, member.person);
    const rows = await store.manager.find(allotments, { where: { gardenId, year }, order: { at: 'DESC' } });
    return rows.map((row) => allotmentView(row, names));
  },
};
