import type { Problem } from '@unity-acre/contract';
import { makeArchive } from '../backup/archive.ts';
import { checkDatabase } from '../backup/snapshot.ts';
import { lookAtAllotment } from '../crew/allotting.ts';
import { readPeople } from '../crew/people/readPeople.ts';
import { readCropFile } from '../crops/file.ts';
import { readGround } from '../ground/readGround.ts';
import { Refusal } from '../http/refusal.ts';
import { reduceRecord } from '../place/climate.ts';
import { readStationFile } from '../place/readStation.ts';
import { judgeSeason, remediesOf, rollSeason } from '../season/judging.ts';
import { fitCloths } from '../work/care/fitCloths.ts';
import { rotaOutcome } from '../work/rota/rotaOutcome.ts';

/** What the pool's threads can do, each by its name. */
const tasks = {
  makeArchive,
  checkDatabase,
  judgeSeason,
  remediesOf,
  rollSeason,
  rotaOutcome,
  fitCloths,
  lookAtAllotment,
  readGround,
  readCropFile,
  readPeople,
  readStationFile,
  reduceRecord,
};
export type HeavyTasks = typeof tasks;

/** What a thread tells: errors lose their kind between threads, so a refusal goes as what it says. */
export type Told<Value> = { kind: 'done'; value: Value } | { kind: 'refused'; problem: Problem };

type Asked = {
  [Name in keyof HeavyTasks]: { name: Name; data: Parameters<HeavyTasks[Name]>[0] };
}[keyof HeavyTasks];

export default async ({ name, data }: Asked): Promise<Told<unknown>> => {
  try {
    return { kind: 'done', value: await (tasks[name] as (data: unknown) => unknown)(data) };
  } catch (error) {
    if (error instanceof Refusal) return { kind: 'refused', problem: error.problem };
    throw error;
  }
};
