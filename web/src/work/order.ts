import type { TaskView } from '@unity-acre/contract/work';
import { inNaturalOrder, plantingOf } from '@unity-acre/core/work';

/** Tasks of a session in the order in which they are done: what is planted before what goes over it. */
export const inWorkOrder = (tasks: readonly TaskView[]): TaskView[] =>
  inNaturalOrder(tasks.map((task) => ({ ...task, planting: plantingOf(task.id) })));
