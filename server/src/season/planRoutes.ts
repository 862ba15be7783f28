import type { Proposal } from '@unity-acre/contract/season';
import { usualSpacing } from '@unity-acre/core/season';
import { catalogueOf } from '../crops/index.ts';
import { breathe } from '../heavy/breathe.ts';
import { jsonInPieces } from '../heavy/jsonInPieces.ts';
import { heavy } from '../heavy/pool.ts';
import { type Handlers, writingNothing } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { standing } from '../http/standing.ts';
import { todayIn } from '../place/index.ts';
import { secondsOf } from '../solving/jobs.ts';
import { plantings, wishes } from './entity.ts';
import { type Looking, plantingIdOf, proposals } from './proposals.ts';
import { SEASON_ROOMS } from './schedules.ts';
import { yearPlanOf } from './yearPlan.ts';

function proposalView(looking: Looking): Proposal {
  const { id, state, found, about } = looking;
  const placement = found?.placement;
  return {
    id,
    state,
    seconds: secondsOf(looking),
    gap: found?.gap ?? null,
    proved: found?.proved ?? false,
    placement: placement
      ? {
          plantings: placement.chosen.map(({ wishId, candidate, demand }, i) => ({
            id: plantingIdOf(looking, i),
            wishId,
            cropId: demand.wish.crop.id,
            varietyId: demand.wish.variety.id,
            bedId: candidate.bedId,
            year: about.year,
            cropping: candidate.cropping,
            method: candidate.method,
            pattern: demand.pattern,
            width: candidate.width,
            length: candidate.length,
            startOn: candidate.startOn,
            afterId: null,
            afterDays: null,
            betweenId: null,
            pinned: false,
            protection: 'none' as const,
            ...usualSpacing,
            at: null,
            practices: {},
            note: '',
            plants: demand.plants,
            from: candidate.from,
            until: candidate.until,
            firstPick: candidate.firstPick,
          })),
          gone: about.gone,
          unmet: placement.unmet,
          met: placement.met,
          wanted: placement.wanted,
          weeks: placement.weeks,
          seasonFirst: placement.seasonFirst,
        }
      : null,
  };
}

type PlanRoutes = Pick<
  Handlers,
  'consistency' | 'remedies' | 'rollOver' | 'propose' | 'proposal' | 'stopProposal'
>;

export const planRoutes: PlanRoutes = {
  consistency: standing('consistency', {
    rooms: SEASON_ROOMS,
    gather: ({ store, member: { garden }, query }) =>
      yearPlanOf(store.manager, garden, query.year, todayIn(garden, store.clock)),
    finish: async (plan) => heavy('judgeSeason', await jsonInPieces(plan)),
  }),

  remedies: standing('remedies', {
    rooms: SEASON_ROOMS,
    gather: async ({ store, member: { garden }, query: { year, key } }) => ({
      plan: await yearPlanOf(store.manager, garden, year, todayIn(garden, store.clock)),
      key,
    }),
    finish: async ({ plan, key }) => heavy('remediesOf', { json: await jsonInPieces(plan), key }),
  }),

  rollOver: standing('rollOver', {
    rooms: SEASON_ROOMS,
    gather: async ({ store, member: { garden }, query: { year, by } }) => ({
      plan: await yearPlanOf(store.manager, garden, year, todayIn(garden, store.clock)),
      by,
    }),
    finish: async ({ plan, by }) => heavy('rollSeason', { json: await jsonInPieces(plan), by }),
  }),

  propose: writingNothing(async ({ store, member: { garden }, body }) => {
    const { manager } = store;
    const { year, afresh, gap, seconds } = body;
    const wanted = await manager.findBy(wishes, { gardenId: garden.id, year });
    if (wanted.length === 0) throw invalid('year', 'noWishes');
    const catalogue = await catalogueOf(manager, garden.id);
    const known = wanted.filter(({ cropId }) => catalogue.crop(cropId));
    const plan = await yearPlanOf(manager, garden, year, todayIn(garden, store.clock));
    await breathe();
    const givesWay = new Set(
      afresh
        ? plan.plantings
            .filter(({ pinned, steps, cropId }) => {
              const isBegun = steps.some(({ done }) => done);
              return !pinned && !isBegun && !catalogue.crop(cropId)?.perennial;
            })
            .map(({ id }) => id)
        : [],
    );
    const rows = await manager.findBy(plantings, { gardenId: garden.id, year });
    const gone = rows.filter(({ id }) => givesWay.has(id)).map(({ id, version }) => ({ id, version }));
    await breathe();
    const left = new Set(gone.map(({ id }) => id));
    const staying = plan.plantings.filter(({ id }) => !left.has(id));
    return proposalView(
      proposals.begin(
        garden.id,
        { year, gone, ids: [] },
        {
          plan: { ...plan, plantings: staying },
          wishes: known.map(({ gardenId: _, version: __, note: ___, year: ____, ...wish }) => wish),
          gap,
          seconds,
        },
      ),
    );
  }),

  proposal: async ({ params }) => {
    const looking = proposals.get(params.gardenId, params.id);
    if (!looking) throw new Refusal('notFound');
    return proposalView(looking);
  },

  stopProposal: writingNothing(async ({ params }) => {
    const looking = proposals.get(params.gardenId, params.id);
    if (!looking) throw new Refusal('notFound');
    looking.stop();
    return proposalView(looking);
  }),
};
