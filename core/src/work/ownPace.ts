import { BEGINNER, CHILD, PRACTISED, type WorkKind } from './kinds/index.ts';

/** Who was at a task, for the pace that is learnt from it. */
export const crewKinds = ['practised', 'beginners', 'children'] as const;
export type CrewKind = (typeof crewKinds)[number];

/** What a task took, against what was expected of it. */
export interface PaceLog {
  kind: WorkKind;
  /** minutes for one practised person, by the prior */
  expected: number;
  /** minutes by the clock */
  minutes: number;
  adults: number;
  beginners: number;
  children: number;
}

/** A crew with children goes at theirs; one of which half are beginners at the beginners'. */
export function crewKindOf({
  adults,
  beginners,
  children,
}: Omit<PaceLog, 'kind' | 'expected' | 'minutes'>): CrewKind {
  if (children > 0) return 'children';
  return beginners >= adults && beginners > 0 ? 'beginners' : 'practised';
}

/** How much longer than expected a task took: 1 as expected, 2 twice as long. The heads count at their prior pace. */
export function ratioOf({ expected, minutes, adults, beginners, children }: PaceLog): number {
  const heads = adults * PRACTISED + beginners * BEGINNER + children * CHILD;
  return (minutes * heads) / expected;
}

/** So many logs weigh as much as what was believed before them. Common practice, no source. */
const PRIOR_LOGS = 4;
/** A log that is this far off says that something else happened in between. */
const [SHORTEST, LONGEST] = [1 / 8, 8];

/** The garden's own pace: how much longer than the prior each kind of task takes with each kind of crew. */
export interface OwnPace {
  factor(kind: WorkKind, crew: CrewKind): number;
  /** how much longer a kind of crew takes at all tasks together */
  crew(crew: CrewKind): number;
  /** logs behind a kind of task */
  logs(kind: WorkKind): number;
}

/**
 * Learns the garden's pace from what tasks took. The factor of a kind of task with a kind of crew is drawn towards that of
 * the kind with all crews, and this towards the crew's at all tasks, and that towards 1: each the more, the fewer logs there
 * are. computed in logarithms, so that half and twice as long outweigh each other.
 * Source: shrinkage of a normal mean towards a prior worth `PRIOR_LOGS` observations (James & Stein 1961; any text on
 * empirical Bayes). Logs without heads or minutes say nothing and are left out.
 */
export function ownPace(logs: readonly PaceLog[]): OwnPace {
  const usable = logs.flatMap((log) => {
    const ratio = ratioOf(log);
    if (!Number.isFinite(ratio) || ratio < SHORTEST || ratio > LONGEST) return [];
    return [{ kind: log.kind, crew: crewKindOf(log), log: Math.log(ratio) }];
  });
  const drawn = (own: readonly { log: number }[], towards: number) =>
    (own.reduce((sum, { log }) => sum + log, 0) + PRIOR_LOGS * towards) / (own.length + PRIOR_LOGS);
  const crewMean = (crew: CrewKind) =>
    drawn(
      usable.filter((one) => one.crew === crew),
      0,
    );
  return {
    factor(kind, crew) {
      const ofKind = usable.filter((one) => one.kind === kind);
      const kindMean = drawn(ofKind, crewMean(crew));
      return Math.exp(
        drawn(
          ofKind.filter((one) => one.crew === crew),
          kindMean,
        ),
      );
    },
    crew: (crew) => Math.exp(crewMean(crew)),
    logs: (kind) => usable.filter((one) => one.kind === kind).length,
  };
}
