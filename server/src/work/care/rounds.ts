import type { Round, TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import { groundArea } from '@unity-acre/core/ground';
import { type Occurrence, occurrencesOf, roundMinutes } from '@unity-acre/core/work';
import { type EntityManager, In } from 'typeorm';
import { type BedEntity, beds } from '../../ground/entity.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid } from '../../http/refusal.ts';
import { type RoundEntity, rounds, sessions, taskMarks } from '../entity.ts';
import { withoutTasks } from '../sessions/sessionViews.ts';

type Undecided = Omit<TaskView, 'state' | 'doneOn' | 'share' | 'sessionId'>;

const roundView = ({ gardenId: _, ...row }: RoundEntity): Round => row;

/** The occurrences of a garden's rounds that begin between two days, as tasks. */
export async function roundTasks(
  manager: EntityManager,
  gardenId: string,
  from: Day,
  until: Day,
): Promise<Undecided[]> {
  const rows = await manager.find(rounds, { where: { gardenId }, order: { id: 'ASC' } });
  if (rows.length === 0) return [];
  const grounds = new Map((await manager.findBy(beds, { gardenId })).map((bed) => [bed.id, bed]));
  return rows.flatMap((row) =>
    occurrencesOf(row, from, until).map((occurrence) => taskOf(row, occurrence, grounds)),
  );
}

function taskOf(
  row: RoundEntity,
  { id, on, latest }: Occurrence,
  grounds: ReadonlyMap<string, BedEntity>,
): Undecided {
  // A bed may have gone since the round was planned.
  const there = row.bedIds.flatMap((bedId) => grounds.get(bedId) ?? []);
  const bedIds = there.map(({ id: bedId }) => bedId);
  const area = there.reduce((sum, bed) => sum + groundArea(bed), 0);
  const bedHeight = there.length > 0 ? Math.min(...there.map(({ height }) => height)) : 0;
  return {
    id,
    plantingId: null,
    roundId: row.id,
    cropId: '',
    varietyId: '',
    bedIds,
    kind: row.kind,
    nth: 1,
    window: { earliest: on, best: on, latest },
    on,
    plants: 0,
    seeds: 0,
    seedSources: [],
    rowLength: 0,
    area,
    bedHeight,
    note: row.note,
    title: row.title,
    own: ownNeeds(row),
    minutes: row.minutes ?? roundMinutes(row.kind, area),
    doneByLog: false,
  };
}

/** What the garden asks for a round, where it asks for something of its own. */
function ownNeeds({ fewest, most, skill, tools }: RoundEntity): TaskView['own'] {
  const asksNothing = fewest === null && most === null && skill === null && tools.length === 0;
  return asksNothing ? null : { fewest, most, skill, tools };
}

export const roundRoutes: Pick<Handlers, 'rounds' | 'saveRound' | 'removeRound'> = {
  rounds: async ({ store, params: { gardenId } }) =>
    (await store.manager.find(rounds, { where: { gardenId }, order: { first: 'ASC', id: 'ASC' } })).map(
      roundView,
    ),

  saveRound: ({ params, body, ifMatch, change }) =>
    change('round.saved', body.kind, async (writing) => {
      const { manager } = writing;
      const bedIds = [...new Set(body.bedIds)];
      const known = await manager.countBy(beds, { gardenId: params.gardenId, id: In(bedIds) });
      if (known !== bedIds.length) throw invalid('bedIds', 'unknownBed');
      return roundView(await writing.put(rounds, params.id, { ...body, bedIds }, ifMatch));
    }),

  removeRound: async ({ params, ifMatch, change }) => {
    await change('round.removed', '', async (writing) => {
      const { manager } = writing;
      for (const mark of await manager.findBy(taskMarks, { roundId: params.id })) {
        await writing.removeFound(taskMarks, mark);
      }
      // Its occurrences leave the sessions that had taken them up.
      const isOf = (taskId: string) => taskId.startsWith(`${params.id}.`);
      for (const session of await manager.findBy(sessions, { gardenId: params.gardenId })) {
        if (!session.taskIds.some(isOf)) continue;
        await writing.set(sessions, session, withoutTasks(session, isOf));
      }
      await writing.remove(rounds, params.id, ifMatch);
    });
    return { ok: true };
  },
};
