import type { Entry, EntryInput } from '@unity-acre/contract/log';
import { entryRow, milestoneOf } from '@unity-acre/core/log';
import { type Move, moves, type SeedsTaken, seedsTaken } from '@unity-acre/core/season';
import { isWeightUnit, toGrams } from '@unity-acre/core/units';
import { type EntityManager, In } from 'typeorm';
import { Names } from '../crew/index.ts';
import { seedLots } from '../crops/entity.ts';
import { catalogueOf } from '../crops/index.ts';
import type { Writing } from '../database/change.ts';
import { beds } from '../ground/entity.ts';
import type { Call, Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { todayIn } from '../place/index.ts';
import { type PlantingEntity, plantings } from '../season/entity.ts';
import { checkOrder, schedulesOf, schedulesOfYear, seedSourcesOf } from '../season/index.ts';
import { taskMarks } from '../work/entity.ts';
import { type EntryEntity, entries } from './entity.ts';
import { entryPlace, pageOf } from './page.ts';

const shownColumns = [
  'id',
  'version',
  'kind',
  'on',
  'plantingId',
  'bedId',
  'cropId',
  'amountValue',
  'amountUnit',
  'grams',
  'destination',
  'seedsFrom',
  'note',
  'personId',
  'loggedAt',
  'taskId',
  'share',
  'minutes',
  'people',
] as const;
type ShownEntry = Pick<EntryEntity, (typeof shownColumns)[number]>;

function entryView(row: ShownEntry, names: Names): Entry {
  return {
    id: row.id,
    version: row.version,
    kind: row.kind,
    on: row.on,
    plantingId: row.plantingId,
    bedId: row.bedId,
    cropId: row.cropId,
    amount:
      row.amountUnit === null ? null : ({ value: row.amountValue, unit: row.amountUnit } as Entry['amount']),
    grams: row.grams,
    destination: row.destination,
    seedsFrom: read(row.seedsFrom),
    note: row.note,
    personId: row.personId,
    by: names.of(row.personId),
    loggedAt: row.loggedAt,
    taskId: row.taskId,
    share: row.share,
    minutes: row.minutes,
    people: (read(row.people) ?? []).map((id) => names.of(id)).filter((name) => name !== ''),
  };
}

/** A plain row has its lists as they are stored. */
const read = <Value>(list: Value[] | string | null): Value[] | null =>
  typeof list === 'string' ? JSON.parse(list) : list;

/** What the garden must know for an entry to make sense; gives the planting it belongs to. */
async function check(call: Call<'saveEntry'>, manager: EntityManager): Promise<PlantingEntity | null> {
  const { body, params, member, store } = call;
  const { gardenId } = params;
  if (body.on > todayIn(member.garden, store.clock)) throw invalid('on', 'inFuture');
  if (body.cropId && !(await catalogueOf(manager, gardenId)).crop(body.cropId))
    throw invalid('cropId', 'unknownCrop');
  if (body.bedId && !(await manager.existsBy(beds, { id: body.bedId, gardenId })))
    throw invalid('bedId', 'unknownBed');
  if (!body.plantingId) return null;
  const planting = await manager.findOneBy(plantings, { id: body.plantingId, gardenId });
  if (!planting) throw invalid('plantingId', 'unknownPlanting');
  if (entryRow(body.kind).step && !milestoneOf(body.kind, planting.method))
    throw invalid('kind', 'methodHasNoSuchStep');
  await checkOrder(manager, planting, params.id, body.kind, body.on);
  return planting;
}

/** Does something to the log and tells what it moved in the plan of a planting. */
async function moving(
  writing: Writing,
  call: Call<'saveEntry'>,
  planting: PlantingEntity | null,
  work: () => Promise<void>,
): Promise<Move[]> {
  if (!planting) {
    await work();
    return [];
  }
  const { garden } = call.member;
  const today = todayIn(garden, call.store.clock);
  const stepsNow = async () =>
    (await schedulesOf(writing.manager, garden, [planting], today))[0]?.steps ?? [];
  const before = await stepsNow();
  await work();
  return moves(before, await stepsNow());
}

const valuesOf = (body: EntryInput, planting: PlantingEntity | null) => {
  const { amount, ...rest } = body;
  return {
    ...rest,
    cropId: planting?.cropId ?? body.cropId,
    bedId: planting?.bedId ?? body.bedId,
    amountValue: amount?.value ?? null,
    amountUnit: amount?.unit ?? null,
    grams: amount && isWeightUnit(amount.unit) ? toGrams(amount.value, amount.unit) : null,
  };
};

/** What a sowing takes out of the seed box: what is said, what it took before, or what the plan takes for it. */
async function seedsFromFor(
  { body, params: { gardenId }, member: { garden }, store }: Call<'saveEntry'>,
  manager: EntityManager,
  planting: PlantingEntity | null,
  known: EntryEntity | null,
): Promise<SeedsTaken[] | null> {
  if (body.kind !== 'sowing' || !planting) return null;
  if (body.seedsFrom) {
    const lots = await manager.findBy(seedLots, {
      gardenId,
      id: In(body.seedsFrom.map(({ lotId }) => lotId)),
    });
    if (lots.length < body.seedsFrom.length) throw invalid('seedsFrom', 'unknownLot');
    return body.seedsFrom;
  }
  if (known?.kind === 'sowing') return known.seedsFrom;
  const { year } = planting;
  const scheduled = await schedulesOfYear(manager, garden, year, todayIn(garden, store.clock));
  const sources = (await seedSourcesOf(manager, gardenId, scheduled, year)).get(planting.id) ?? [];
  const taken = seedsTaken(null, sources, 1);
  return taken.length > 0 ? taken : null;
}

const byHand = { taskId: null, share: null, minutes: null, people: null };

/** What was logged by a mark moves it, or takes it back, when it is changed in the log book. @param at now, an instant */
async function markFollows(
  writing: Writing,
  taskId: string | null,
  doneOn: string | null,
  at: string,
): Promise<void> {
  const mark = taskId === null ? null : await writing.manager.findOneBy(taskMarks, { id: taskId });
  // What is done in part has no day on which it is done.
  if (!mark || (doneOn !== null && mark.doneOn === null)) return;
  if (mark.doneOn !== doneOn || mark.share !== null)
    await writing.set(taskMarks, mark, { doneOn, share: null, markedAt: at });
}

/** Entries are their writers' own; a coordinator may correct anybody's. */
function own(entry: EntryEntity, { person }: Call<'saveEntry'>['member']): void {
  if (entry.personId !== person.id && person.role !== 'coordinator') throw new Refusal('notAllowed');
}

export const entryRoutes: Pick<Handlers, 'entries' | 'saveEntry' | 'removeEntry'> = {
  entries: async ({ store, member, params, query }) => {
    const { limit, after, ...filter } = query;
    // The longest list of all is read as plain rows: making entities of them would cost more than reading them.
    const list = store.manager
      .createQueryBuilder(entries, 'entry')
      .select('entry.id', 'id')
      .where({ gardenId: params.gardenId, ...filter })
      .orderBy({ 'entry.on': 'DESC', 'entry.id': 'DESC' })
      .limit(limit + 1);
    for (const column of shownColumns) if (column !== 'id') list.addSelect(`entry.${column}`, column);
    if (after) list.andWhere('(entry.on, entry.id) < (:on, :id)', entryPlace(after));
    const found = await list.getRawMany<ShownEntry>();
    const names = await Names.for(store.manager, member.person);
    const { rows, next } = pageOf(found, limit, (row) => `${row.on}_${row.id}`);
    return { entries: rows.map((row) => entryView(row, names)), next };
  },

  saveEntry: (call) =>
    call.change(`${call.body.kind}.logged`, call.body.cropId ?? '', async (writing) => {
      const { params, body, ifMatch, member, store } = call;
      const planting = await check(call, writing.manager);
      const known = await writing.manager.findOneBy(entries, params);
      if (known) own(known, member);
      const moved = await moving(writing, call, planting, async () => {
        const now = new Date(store.clock.now()).toISOString();
        const author = known ?? { personId: member.person.id, loggedAt: now };
        const { personId, loggedAt } = author;
        const { taskId, share, minutes, people } = known ?? byHand;
        const kept = { personId, loggedAt, taskId, share, minutes, people };
        const seedsFrom = await seedsFromFor(call, writing.manager, planting, known);
        await writing.put(entries, params.id, { ...valuesOf(body, planting), seedsFrom, ...kept }, ifMatch);
        await markFollows(writing, taskId, body.on, now);
      });
      const row = await writing.manager.findOneByOrFail(entries, { id: params.id });
      const names = await Names.for(writing.manager, member.person);
      return { entry: entryView(row, names), moved };
    }),

  removeEntry: async ({ store, params, ifMatch, member, change }) => {
    const known = await store.manager.findOneBy(entries, params);
    if (!known) throw new Refusal('notFound');
    own(known, member);
    await change(`${known.kind}.struckOut`, known.cropId ?? '', async (writing) => {
      await writing.remove(entries, known.id, ifMatch);
      await markFollows(writing, known.taskId, null, new Date(store.clock.now()).toISOString());
    });
    return { ok: true };
  },
};
