import type { PlotCare } from '@unity-acre/contract/crew';
import type { Day } from '@unity-acre/core/calendar';
import { careOf } from '@unity-acre/core/crew';
import { seasonYearOf } from '@unity-acre/core/place';
import { group } from 'd3-array';
import { type EntityManager, IsNull } from 'typeorm';
import { beds, type TenureEntity, tenures } from '../ground/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { byName, inOrder } from '../http/order.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { todayIn } from '../place/index.ts';
import type { Member } from './caller.ts';
import { agreements, type CareCheckEntity, careChecks, people } from './entity.ts';
import en from './findings.en.json' with { type: 'json' };
import es from './findings.es.json' with { type: 'json' };
import { Letters } from './letters.ts';
import { Names } from './names.ts';

const findings = { en, es };

/** How the plots of this season stand. Checks begin anew with each season: a new holder is not told of the old one's weeds. */
async function careViews(
  manager: EntityManager,
  { garden, person }: Member,
  today: Day,
): Promise<PlotCare[]> {
  const gardenId = garden.id;
  const year = seasonYearOf(garden.latitude, today);
  const held = await manager.findBy(tenures, { gardenId, year, kind: 'plot' });
  const names = new Map((await manager.findBy(beds, { gardenId })).map(({ id, name }) => [id, name]));
  const readable = await Names.for(manager, person);
  const crew = await manager.findBy(people, { gardenId, retiredOn: IsNull() });
  const checks = group(
    (await manager.find(careChecks, { where: { gardenId }, order: { on: 'ASC', id: 'ASC' } })).filter(
      ({ on }) => seasonYearOf(garden.latitude, on) === year,
    ),
    ({ bedId }) => bedId,
  );
  const accepted = await manager.findBy(agreements, { gardenId, year });
  const waiting = crew
    .filter(({ waitingSince }) => waitingSince !== null)
    .sort((a, b) => inOrder(a.waitingSince!, b.waitingSince!) || byName(a.name, b.name));
  return held
    .map(({ bedId, personId }) => {
      const own = checks.get(bedId) ?? [];
      const { stage, nextLook } = careOf(own);
      return {
        bedId,
        bed: names.get(bedId) ?? '',
        holder: readable.of(personId) || null,
        stage,
        nextLook,
        checks: own.map(({ id, on, finding, note }) => ({ id, on, finding, note })),
        acceptedOn: accepted.find((one) => one.bedId === bedId && one.personId === personId)?.on ?? null,
        next: stage === 'release' ? readable.of(waiting[0]?.id ?? null) || null : null,
      };
    })
    .sort((a, b) => byName(a.bed, b.bed));
}

export const plotCareRoutes: Pick<Handlers, 'plotCare' | 'saveCareCheck'> = {
  plotCare: ({ store, member }) => careViews(store.manager, member, todayIn(member.garden, store.clock)),

  saveCareCheck: async ({ store, member, params, body, change }) => {
    const { garden } = member;
    const today = todayIn(garden, store.clock);
    if (body.on > today) throw invalid('on', 'inTheFuture');
    const of = async (manager: EntityManager) =>
      (await careViews(manager, member, today)).find(({ bedId }) => bedId === params.bedId);
    const before = await of(store.manager);
    if (!before) throw new Refusal('notFound');
    return change('plotCare.saved', before.bed, async (writing) => {
      const { manager } = writing;
      const values = { ...body, bedId: params.bedId };
      await writing.put<CareCheckEntity>(careChecks, params.id, values, undefined);
      const after = (await of(manager))!;
      if (after.stage === before.stage || after.stage === 'good') return after;
      // The kind first notice, the second, and the plot given up: each once, to who holds it.
      const year = seasonYearOf(garden.latitude, today);
      const tenure = await manager.findOneByOrFail(tenures, { bedId: params.bedId, year });
      if (tenure.personId) {
        const letters = await Letters.of(writing, garden, store.clock);
        await letters.write(after.stage, tenure.personId, {
          bed: after.bed,
          list: (language) => findings[language][body.finding],
          by: after.nextLook,
        });
      }
      if (after.stage === 'release') await writing.set<TenureEntity>(tenures, tenure, { personId: null });
      return (await of(manager))!;
    });
  },
};
