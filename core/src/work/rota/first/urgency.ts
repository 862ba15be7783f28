import { type Day, earlierOf } from '../../../calendar/index.ts';
import type { RotaTask } from '../problem/index.ts';

/** How long a task and what waits for it can wait. */
export interface Urgency {
  critical: boolean;
  latest: Day;
}

/** How long each task can wait: what others wait for cannot wait longer than they can. */
function urgencyOf(tasks: readonly RotaTask[]): Map<string, Urgency> {
  const urgency = new Map(tasks.map(({ id, critical, latest }) => [id, { critical, latest }]));
  for (let changed = true; changed; ) {
    changed = false;
    for (const task of tasks) {
      const own = urgency.get(task.id)!;
      for (const id of task.after) {
        const before = urgency.get(id);
        if (!before || (before.latest <= own.latest && before.critical >= own.critical)) continue;
        before.latest = earlierOf(before.latest, own.latest);
        before.critical ||= own.critical;
        changed = true;
      }
    }
  }
  return urgency;
}

/** Tasks in an order in which each comes after what it waits for; those that wait for each other in a round as they stood. */
function afterWhatTheyWaitFor(tasks: readonly RotaTask[]): RotaTask[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const order = new Set<RotaTask>();
  const visit = (task: RotaTask, above: ReadonlySet<string>): void => {
    if (order.has(task) || above.has(task.id)) return;
    for (const id of task.after) {
      const before = byId.get(id);
      if (before) visit(before, new Set([...above, task.id]));
    }
    order.add(task);
  };
  for (const task of tasks) visit(task, new Set());
  return [...order];
}

/** What cannot wait first, and always after what comes before it; with each how long it and what waits for it can wait. */
export function inUrgency(tasks: readonly RotaTask[]): { order: RotaTask[]; urgency: Map<string, Urgency> } {
  const urgency = urgencyOf(tasks);
  const sorted = [...tasks].sort((a, b) => {
    const [one, other] = [urgency.get(a.id)!, urgency.get(b.id)!];
    return (
      Number(other.critical) - Number(one.critical) ||
      one.latest.localeCompare(other.latest) ||
      b.minutes - a.minutes ||
      a.id.localeCompare(b.id)
    );
  });
  return { order: afterWhatTheyWaitFor(sorted), urgency };
}
