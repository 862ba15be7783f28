import { makeArchive } from '../backup/archive.ts';
import { checkDatabase } from '../backup/snapshot.ts';

/** What the pool's threads can do, each by its name. */
const tasks = { makeArchive, checkDatabase };
export type HeavyTasks = typeof tasks;

type Asked = {
  [Name in keyof HeavyTasks]: { name: Name; data: Parameters<HeavyTasks[Name]>[0] };
}[keyof HeavyTasks];

export default ({ name, data }: Asked): unknown => (tasks[name] as (data: unknown) => unknown)(data);
