import type { SeedSource } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { type EntryKind, entryKindOf } from '@unity-acre/core/log';
import { type SeedsTaken, seedsTaken } from '@unity-acre/core/season';
import type { WorkKind } from '@unity-acre/core/work';
import { v7 as newId } from 'uuid';
import type { Writing } from '../../database/change.ts';
import { invalid } from '../../http/refusal.ts';
import { type EntryEntity, entries } from '../../log/entity.ts';
import { plantings } from '../../season/entity.ts';
import { checkOrder } from '../../season/index.ts';

/** Work as far as it has to be known to be logged. */
interface Work {
  id: string;
  kind: WorkKind;
  plantingId: string | null;
  cropId: string;
  bedIds: readonly string[];
  /** where the seed of what is not sown yet is from */
  seedSources: readonly SeedSource[];
  /** a round's own words for what it is */
  title: string;
}

/** What was done of it. */
export interface Done {
  on: Day;
  /** how much of the whole is done with it, 0–1 */
  share: number;
  /** by the clock, however many were at it; null where nobody looked */
  minutes: number | null;
  /** who was at it, beside whoever logs it */
  people: string[];
}

interface Author {
  personId: string;
  loggedAt: string;
  today: Day;
}

/**
 * Logs work as done, one entry for each of its beds, or strikes out what was logged of it. Done once more it is the same
 * entry: what was half done is done.
 * @throws Refusal `invalid` for a day to come, and for one on which a step of the planting cannot have been
 */
export async function logDone(
  writing: Writing,
  work: Work,
  done: Done | null,
  { today, ...author }: Author,
): Promise<void> {
  const { manager } = writing;
  const known = await manager.findBy(entries, { gardenId: writing.gardenId, taskId: work.id });
  if (!done) {
    for (const entry of known) await writing.removeFound(entries, entry);
    return;
  }
  if (done.on > today) throw invalid('doneOn', 'inFuture');
  const kind = entryKindOf(work.kind);
  for (const bedId of work.bedIds.length > 0 ? work.bedIds : [null]) {
    const entry = known.find((one) => one.bedId === bedId);
    await checkStep(writing, work.plantingId, kind, entry?.id ?? '', done.on);
    const begun = entry ?? { ...blank, ...author, ...of(work, bedId), kind };
    const seedsFrom = kind === 'sowing' ? takenBy(entry, work.seedSources, done.share) : null;
    const values = { ...begun, ...done, seedsFrom };
    await writing.put<EntryEntity>(entries, entry?.id ?? newId(), values, entry?.version);
  }
}

const takenBy = (
  entry: EntryEntity | undefined,
  toCome: readonly SeedSource[],
  share: number,
): SeedsTaken[] | null => {
  const before = entry ? { share: entry.share ?? 1, taken: entry.seedsFrom ?? [] } : null;
  const taken = seedsTaken(before, toCome, share);
  return taken.length > 0 ? taken : null;
};

const blank: Pick<
  EntryEntity,
  'amountValue' | 'amountUnit' | 'grams' | 'destination' | 'seedsFrom' | 'note'
> = {
  amountValue: null,
  amountUnit: null,
  grams: null,
  destination: null,
  seedsFrom: null,
  note: '',
};

const of = ({ id, plantingId, cropId, title }: Work, bedId: string | null) => ({
  note: title,
  taskId: id,
  plantingId,
  cropId: cropId || null,
  bedId,
});

async function checkStep(
  { manager, gardenId }: Writing,
  plantingId: string | null,
  kind: EntryKind,
  entryId: string,
  on: Day,
): Promise<void> {
  if (plantingId === null) return;
  const planting = await manager.findOneByOrFail(plantings, { id: plantingId, gardenId });
  await checkOrder(manager, planting, entryId, kind, on, 'doneOn');
}
