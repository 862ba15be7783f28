import { expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { broken } from '../../../solving/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import type { Rota } from '../problem/index.ts';
import { boundGarden, changed, kindOfRule } from '../testing/index.ts';
import { type RotaModel, rotaModel } from './model.ts';
import { valuesOf } from './values.ts';

/** Whether a model has room for a rota: a column for each that comes and each task done, and no row broken. */
function hasRoomFor(model: RotaModel, rota: Rota): boolean {
  const comes = new Set(model.seats.map(({ person, session }) => `${person.id} ${session.id}`));
  const does = new Set(model.places.map(({ task, session }) => `${task.id} ${session.id}`));
  return (
    rota.seats.every(({ personId, sessionId }) => comes.has(`${personId} ${sessionId}`)) &&
    rota.placed.every(({ taskId, sessionId }) => does.has(`${taskId} ${sessionId}`)) &&
    broken(model.mip, valuesOf(model, rota)).length === 0
  );
}

const RULES = [
  ['· is away from ·', '· said no to ·', '· was fixed', '· is in two places', '· works too much'],
  ['· is without a guardian', '· has too many children', 'children in ·', '· is too full', '· has too few'],
  ['· has more work than its people can do', '· calls people for too little', '· lacks ·'],
  ['· is not for ·', '· comes before ·', '· is too short for what is done one after another'],
].flat();

it('refuses what the check refuses and nothing else, whichever rule it is', () => {
  const random = seeded(3);
  const seen = new Set<string>();
  for (let seed = 1; seed <= 40; seed++) {
    const model = rotaModel(boundGarden(seed));
    let rota = firstRota(model);
    for (let n = 0; n < 120; n++) {
      const next = changed(model.problem, rota, random);
      const rules = brokenRules(model.problem, next);
      expect(hasRoomFor(model, next), `garden ${seed}, change ${n}: ${rules}`).toBe(rules.length === 0);
      // Only what is broken alone shows that its own row is there.
      const kinds = new Set(rules.map(kindOfRule));
      if (kinds.size === 1) seen.add([...kinds][0]!);
      if (rules.length === 0) rota = next;
    }
  }
  expect(RULES.filter((rule) => !seen.has(rule))).toEqual([]);
});
