import type { Session } from '@unity-acre/contract/work';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { askAgain, queries } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Refused } from '../../kit/refused.ts';

/** What is marked on a session's sheet: somebody came or left, a task began or is done. */
type Made = { gardenId: string; sessionId: string; what: string } & (
  | { kind: 'rollCall'; personId: string; body: { arrived: string | null; left: string | null } }
  | { kind: 'logWork'; taskId: string; body: Omit<Session['work'][number], 'taskId'> }
);
/** With the moment at which it was made: of two marks of a thing the later made counts, whichever arrives later. */
export type Mark = Made & { at: string };
interface Marks {
  /** marks not taken by the garden yet, in the order in which they were made */
  waiting: Mark[];
  /** marks the garden did not take, with its reason */
  refused: { mark: Mark; code: string }[];
  add(made: Made): void;
  drop(mark: Mark): void;
}

const about = (mark: Mark): string =>
  `${mark.sessionId} ${mark.kind} ${mark.kind === 'rollCall' ? mark.personId : mark.taskId}`;

/** Marks made on this device. They are kept through a lost connection and a closed page until the garden has taken them. */
export const useMarks = create<Marks>()(
  persist(
    (set) => ({
      waiting: [],
      refused: [],
      add: (made) => {
        const mark = { ...made, at: new Date().toISOString() };
        // A later mark of the same thing stands for the earlier.
        set(({ waiting }) => ({ waiting: [...waiting.filter((one) => about(one) !== about(mark)), mark] }));
        void sendMarks();
      },
      drop: (mark) => set(({ refused }) => ({ refused: refused.filter((one) => one.mark !== mark) })),
    }),
    { name: 'acre-marks' },
  ),
);

const send = (mark: Mark): Promise<{ touched: string[] }> => {
  const params = { gardenId: mark.gardenId, id: mark.sessionId };
  return mark.kind === 'rollCall'
    ? ask('rollCall', {
        params: { ...params, personId: mark.personId },
        body: { ...mark.body, at: mark.at },
      })
    : ask('logWork', { params: { ...params, taskId: mark.taskId }, body: { ...mark.body, at: mark.at } });
};

let isSending = false;

/** Asks again for what marks have changed, in each garden that took some. */
async function askAgainFor(touched: ReadonlyMap<string, Set<string>>): Promise<void> {
  for (const [gardenId, kinds] of touched) await askAgain(queries, gardenId, kinds);
}

/** Sends what waits, one after another. What cannot reach the garden stays; what is refused is shown with the reason. */
export async function sendMarks(): Promise<void> {
  if (isSending) return;
  isSending = true;
  const touched = new Map<string, Set<string>>();
  try {
    for (let [mark] = useMarks.getState().waiting; mark; [mark] = useMarks.getState().waiting) {
      const sent = mark;
      let code: string | null = null;
      try {
        const told = await send(sent);
        const kinds = touched.get(sent.gardenId) ?? new Set();
        touched.set(sent.gardenId, new Set([...kinds, ...told.touched]));
      } catch (error) {
        code = error instanceof Refused ? error.problem.code : 'unexpected';
        // Signed out or out of reach: it may well be taken later.
        if (['unreachable', 'signedOut', 'unexpected'].includes(code)) return;
      }
      useMarks.setState(({ waiting, refused }) => ({
        waiting: waiting.filter((one) => one !== sent),
        refused: code ? [...refused, { mark: sent, code }] : refused,
      }));
    }
  } finally {
    isSending = false;
    void askAgainFor(touched);
  }
}

/** A session as it stands with what is still to be sent. */
export function withMarks(session: Session, waiting: readonly Mark[]): Session {
  let { signUps, work } = session;
  for (const mark of waiting) {
    if (mark.sessionId !== session.id) continue;
    if (mark.kind === 'logWork') {
      const done = { taskId: mark.taskId, ...mark.body };
      work = [...work.filter(({ taskId }) => taskId !== mark.taskId), done];
      continue;
    }
    const known = signUps.find(({ personId }) => personId === mark.personId);
    const called = known
      ? { ...known, ...mark.body }
      : {
          personId: mark.personId,
          name: mark.what,
          headcount: 1,
          byRota: false,
          offered: false,
          ...mark.body,
        };
    signUps = known ? signUps.map((one) => (one === known ? called : one)) : [...signUps, called];
  }
  return { ...session, signUps, work };
}
