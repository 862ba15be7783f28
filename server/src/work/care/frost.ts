import { addDays, type Day } from '@unity-acre/core/calendar';
import { isFree } from '@unity-acre/core/crew';
import { groupedBy } from '@unity-acre/core/maths';
import { coldestOf, dayInSeason, seasonYearOf } from '@unity-acre/core/place';
import { bedLayout, toLay } from '@unity-acre/core/season';
import {
  coversFor,
  FROST_CLOTH,
  isThreatened,
  type Sheet,
  standsOut,
  type ThreatenedGround,
} from '@unity-acre/core/work';
import { type EntityManager, In } from 'typeorm';
import { v7 as newId } from 'uuid';
import { people } from '../../crew/entity.ts';
import { Letters } from '../../crew/index.ts';
import { type BedEntity, beds } from '../../ground/entity.ts';
import { breathe } from '../../heavy/breathe.ts';
import { heavy } from '../../heavy/pool.ts';
import type { Handlers } from '../../http/handle.ts';
import { byName } from '../../http/order.ts';
import { invalid } from '../../http/refusal.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { forecastFor, todayIn } from '../../place/index.ts';
import { type PlantingSchedule, schedulesOfYear } from '../../season/index.ts';
import { asCalled, rounds, type SessionEntity, sessions, tools } from '../entity.ts';
import { sessionViews } from '../sessions/sessionViews.ts';

/** The ground that plantings take, each in its place among all of its bed. */
function groundOf(
  threatened: readonly PlantingSchedule[],
  scheduled: readonly PlantingSchedule[],
  ground: ReadonlyMap<string, BedEntity>,
  { latitude, ground: { north } }: Pick<GardenEntity, 'latitude' | 'ground'>,
  year: number,
): ThreatenedGround[] {
  const seasonFirst = dayInSeason(latitude, year, 0);
  const inBed = groupedBy(scheduled, ({ row }) => row.bedId);
  const wanted = groupedBy(threatened, ({ row }) => row.bedId);
  return [...wanted].flatMap(([bedId, own]) => {
    const bed = ground.get(bedId);
    if (!bed) return [];
    const all = inBed
      .get(bedId)!
      .map(({ row, crop, steps }) => toLay({ ...row, crop, steps }, { seasonFirst }));
    const places = bedLayout(bed, all, { latitude, north });
    return own.map(({ row: { id, cropId, width, length } }) => {
      // What has no room left in the plan stands somewhere all the same: the whole of its bed's beginning is covered.
      const { x, y } = places.get(id) ?? { x: 0, y: 0 };
      return { cropId, bedId, x, y, width, length };
    });
  });
}

/** The garden's frost cloths, each by itself. */
async function sheetsOf(manager: EntityManager, gardenId: string): Promise<Sheet[]> {
  const counted = await manager.findBy(tools, { gardenId, name: FROST_CLOTH });
  return counted.flatMap(({ width, length, count }) =>
    width === null || length === null ? [] : Array.from({ length: count }, () => ({ width, length })),
  );
}

/** In the morning the covers come off, on one day, whoever does it. */
const comesOff = (bedIds: string[], on: Day) => ({
  ...{
    kind: 'uncover' as const,
    title: '',
    bedIds,
    first: on,
    every: null,
    monthly: false,
    until: null,
    span: 1,
  },
  ...{ minutes: null, fewest: null, most: null, skill: null, tools: [], note: '' },
});

export const frostRoutes: Pick<Handlers, 'frostWatch' | 'frostCall'> = {
  frostWatch: async ({ store, member: { garden }, query }) => {
    const { manager } = store;
    const today = todayIn(garden, store.clock);
    const forecast = await forecastFor(manager, garden, today);
    const ground = new Map((await manager.findBy(beds, { gardenId: garden.id })).map((bed) => [bed.id, bed]));
    const year = seasonYearOf(garden.latitude, today);
    const scheduled = await schedulesOfYear(manager, garden, year, today);
    await breathe();
    const nights = forecast.map(({ on, low, give }) => ({ on, low, give }));
    const lowest = Math.min(...nights.map(coldestOf));
    const lowIn = (bed: BedEntity | undefined) => lowest + (bed?.offsetC ?? 0);
    const threatened = scheduled.filter(
      ({ row, crop, steps }) => standsOut(steps, today) && isThreatened(crop, lowIn(ground.get(row.bedId))),
    );
    const crew = await manager.find(people, { where: { gardenId: garden.id }, order: { name: 'ASC' } });
    const grown = crew.filter(
      ({ role, kind, waitingSince, retiredOn }) =>
        role !== 'receiver' && kind === 'adult' && waitingSince === null && retiredOn === null,
    );
    await breathe();
    const covers = coversFor(groundOf(threatened, scheduled, ground, garden, year));
    const sheets = await sheetsOf(manager, garden.id);
    const over = await heavy('fitCloths', { needs: covers, owned: sheets });
    return {
      nights,
      covers: covers.map((cover, i) => ({
        ...cover,
        lowC: lowIn(ground.get(cover.bedId)),
        sheet: over[i]!,
      })),
      sheets: sheets.length,
      people: grown
        .map(({ id, name, minutesAway, availability }) => ({
          personId: id,
          name,
          minutesAway,
          free:
            availability.weekly === null && availability.exceptions.length === 0
              ? ('unsaid' as const)
              : isFree(availability, query.on, query)
                ? ('free' as const)
                : ('away' as const),
        }))
        .sort(
          (a, b) =>
            (a.minutesAway ?? Number.POSITIVE_INFINITY) - (b.minutesAway ?? Number.POSITIVE_INFINITY) ||
            byName(a.name, b.name),
        ),
    };
  },

  frostCall: ({ store, member, body, change }) =>
    change('session.saved', body.title, async (writing) => {
      const { manager } = writing;
      const { garden, person } = member;
      const { sessionId, list, personIds, bedIds, ...called } = body;
      if (called.on < todayIn(garden, store.clock)) throw invalid('on', 'inThePast');
      const asked = [...new Set(personIds)];
      const known = await manager.countBy(people, { gardenId: garden.id, id: In(asked) });
      if (known !== asked.length) throw invalid('personIds', 'unknownPerson');
      const isNew = !(await manager.existsBy(sessions, { id: sessionId }));
      const session = await writing.put<SessionEntity>(
        sessions,
        sessionId,
        {
          ...asCalled,
          ...called,
          leadId: person.id,
          capacity: Math.max(15, asked.length),
          children: false,
          taskIds: [],
          note: list,
        },
        undefined,
      );
      // Sent again, the call changes nothing and writes to nobody twice.
      if (isNew) {
        const covered = await manager.findBy(beds, { gardenId: garden.id, id: In(bedIds) });
        if (covered.length > 0) {
          const ids = covered.map(({ id }) => id);
          await writing.put(rounds, newId(), comesOff(ids, addDays(called.on, 1)), undefined);
        }
        const letters = await Letters.of(writing, garden, store.clock);
        for (const personId of asked) await letters.write('frostCall', personId, { session, list });
      }
      return (await sessionViews(manager, [session], person))[0]!;
    }),
};
