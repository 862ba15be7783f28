import type { Day } from '../../calendar/index.ts';
import { groupedBy } from '../../maths/index.ts';
import { isRoundKind, taskRow, type WorkKind } from '../kinds/index.ts';

/** Whether work is a few minutes of every day, which is not planned one by one. */
export const isBrief = (kind: WorkKind): boolean => !isRoundKind(kind) && taskRow(kind).isBrief;

/** Whether work is in held plots alone, whose holders look after them themselves. @param plots ids of the beds that are held */
export const isOfPlots = ({ bedIds }: { bedIds: readonly string[] }, plots: ReadonlySet<string>): boolean =>
  bedIds.length > 0 && bedIds.every((id) => plots.has(id));

/** Small things of one kind on one day, which are one line in a list. */
export interface BriefWork<Task> {
  kind: WorkKind;
  on: Day;
  tasks: Task[];
}

/** Tasks for a list: those that stand by themselves, and the small things of a day put together, each in their order. */
export function withBriefTogether<Task extends { kind: WorkKind; on: Day }>(
  tasks: readonly Task[],
): { single: Task[]; brief: BriefWork<Task>[] } {
  const single = tasks.filter(({ kind }) => !isBrief(kind));
  const brief = groupedBy(
    tasks.filter(({ kind }) => isBrief(kind)),
    ({ kind, on }) => `${kind} ${on}`,
  );
  return {
    single,
    brief: [...brief.values()].map((all) => ({ kind: all[0]!.kind, on: all[0]!.on, tasks: all })),
  };
}
