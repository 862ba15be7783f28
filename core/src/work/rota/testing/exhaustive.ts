import { daysBetween } from '../../../calendar/index.ts';
import { brokenRules } from '../check.ts';
import type { Rota, RotaProblem } from '../problem/index.ts';

/** What a rota reaches, the greatest end first. */
export function worthsOf(problem: RotaProblem, { seats, placed }: Rota): number[] {
  const taskOf = (id: string) => problem.tasks.find((task) => task.id === id)!;
  const sessionOf = (id: string) => problem.sessions.find((session) => session.id === id)!;
  const sits = (personId: string, sessionId: string) =>
    seats.some((seat) => seat.personId === personId && seat.sessionId === sessionId);
  // Who cannot come to any session has no part in what is fair.
  const owing = problem.people.filter(({ id }) => problem.sessions.some((s) => mayEver(problem, id, s.id)));
  const shifts = (id: string) =>
    seats
      .filter(({ personId }) => personId === id)
      .reduce((sum, { sessionId }) => sum + sessionOf(sessionId).shifts, 0);
  const short = owing.map(({ id, owed }) => Math.max(0, owed - shifts(id)));
  const over = owing.map(({ id, owed }) => Math.max(0, shifts(id) - owed));
  const pairs = new Set(
    problem.people.flatMap(({ id, together }) => together.map((other) => [id, other].sort().join())),
  );
  const meetings = [...pairs].flatMap((pair) =>
    problem.sessions.filter(({ id }) => pair.split(',').every((personId) => sits(personId, id))),
  );
  const sum = (numbers: number[]) => numbers.reduce((total, one) => total + one, 0);
  return [
    placed.filter(({ taskId }) => taskOf(taskId).critical).length,
    sum(placed.map(({ taskId }) => taskOf(taskId).minutes)),
    -placed.filter(({ taskId, sessionId }) => taskOf(taskId).poorSky.includes(sessionOf(sessionId).on))
      .length,
    -Math.max(0, ...short),
    -sum([...short, ...over]),
    meetings.length,
    problem.promised.filter(({ personId, sessionId }) => sits(personId, sessionId)).length,
    -sum(
      placed.map(({ taskId, sessionId }) =>
        Math.abs(daysBetween(taskOf(taskId).best, sessionOf(sessionId).on)),
      ),
    ),
  ].map((worth) => worth || 0);
}

function mayEver(problem: RotaProblem, personId: string, sessionId: string): boolean {
  const alone: Rota = { seats: [{ personId, sessionId }], placed: [] };
  const person = problem.people.find(({ id }) => id === personId)!;
  const guardian = person.guardianId ? [{ personId: person.guardianId, sessionId }] : [];
  const only = {
    ...problem,
    people: problem.people.filter(({ id }) => [personId, person.guardianId].includes(id)),
  };
  const promised = problem.people.map(({ id }) => ({ personId: id, sessionId }));
  return brokenRules(
    { ...only, promised, childRatio: 99 },
    { ...alone, seats: [...alone.seats, ...guardian] },
  ).every((rule) => !/away|said no|children in|without a guardian|too full/.test(rule));
}

const isBetter = (a: readonly number[], b: readonly number[]): boolean => {
  const i = a.findIndex((worth, n) => Math.abs(worth - b[n]!) > 1e-6);
  return i >= 0 && a[i]! > b[i]!;
};

/** The best a small garden can reach, found by trying every rota there is. */
export function bestOfAll(problem: RotaProblem): number[] {
  let best: number[] | null = null;
  const pairs = problem.people.flatMap(({ id }) =>
    problem.sessions.map((session) => ({ personId: id, sessionId: session.id })),
  );
  const choices = problem.sessions.length + 1;
  for (let who = 0; who < 2 ** pairs.length; who++) {
    const seats = pairs.filter((_, i) => who & (1 << i));
    for (let what = 0; what < choices ** problem.tasks.length; what++) {
      const placed = problem.tasks.flatMap(({ id }, i) => {
        const session = problem.sessions[(Math.floor(what / choices ** i) % choices) - 1];
        return session ? [{ taskId: id, sessionId: session.id }] : [];
      });
      const rota = { seats, placed };
      const worths = worthsOf(problem, rota);
      if (best && !isBetter(worths, best)) continue;
      if (brokenRules(problem, rota).length === 0) best = worths;
    }
  }
  return best ?? [];
}
