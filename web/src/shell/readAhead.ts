import type { Role } from '@unity-acre/contract';
import type { Garden } from '@unity-acre/contract/place';
import {
  bothSeasonsOf,
  datesAlone,
  listOf,
  lookAround,
  queries,
  type Read,
  seasonListOf,
} from '../garden/index.ts';
import { entryPages } from '../log/entryPages.ts';
import { listedDays, sessionsOf } from '../work/sessions/index.ts';
import { tasksOf } from '../work/taskLists.ts';
import { weekDays } from '../work/week/weekDays.ts';

/** Asks for lists, which are kept until the screen comes that reads them. */
const ask = (...reads: Read<unknown>[]) => {
  for (const read of reads) void queries.prefetchQuery(read);
};

const ofSeason = (garden: Garden, name: 'plantings' | 'harvestTotals', query?: object): Read<unknown> =>
  seasonListOf(garden.id, name, garden.seasonYear, query);

/** What the main screens read when they open, by address. */
const firstReads: Record<string, (garden: Garden, role: Role) => void> = {
  '/': (garden, role) => {
    // What decisions are found in is for those who lead.
    if (role !== 'volunteer')
      ask(listOf(garden.id, 'weather'), listOf(garden.id, 'people'), listOf(garden.id, 'putOffs'));
    if (role === 'coordinator') ask(listOf(garden.id, 'plotCare'));
    ask(
      sessionsOf(garden.id, weekDays(garden.today)),
      tasksOf(garden.id, weekDays(garden.today)),
      ...bothSeasonsOf(garden, datesAlone),
      listOf(garden.id, 'beds'),
    );
  },
  '/ground': (garden) =>
    ask(listOf(garden.id, 'beds'), listOf(garden.id, 'landmarks'), ofSeason(garden, 'plantings', datesAlone)),
  '/season': (garden) => ask(listOf(garden.id, 'beds'), ofSeason(garden, 'plantings', datesAlone)),
  '/sessions': (garden) =>
    ask(
      sessionsOf(garden.id, listedDays(garden.today)),
      tasksOf(garden.id, { ...listedDays(garden.today), taken: 'only' }),
      listOf(garden.id, 'beds'),
    ),
  '/log': (garden) => {
    ask(ofSeason(garden, 'harvestTotals'), listOf(garden.id, 'beds'));
    void queries.prefetchInfiniteQuery(entryPages(garden.id));
  },
};

/** Asks for what the screen of an address reads when it opens, while its script is still on its way or being drawn. */
export async function readAhead(path: string): Promise<void> {
  const here = await lookAround();
  // Who is given food sees what was picked, and nothing else.
  if (!here || here.role === 'receiver') return;
  // Every screen names crops.
  ask(listOf(here.garden.id, 'ownCrops'));
  firstReads[path]?.(here.garden, here.role);
}
