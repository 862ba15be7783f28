import { plainCatalogue } from '@unity-acre/core/crops';
import { uprightRectangle } from '@unity-acre/core/ground';
import {
  type PlannedBed,
  type Posed,
  pose,
  readPlacement,
  usualSpacing,
  type Wish,
  type YearPlan,
} from '@unity-acre/core/season';
import {
  bed,
  bestByTrying,
  drawn,
  season,
  trespasses,
  wish,
} from '@unity-acre/core/season/placement/testing';
import { broken, Mip } from '@unity-acre/core/solving';
import { describe, expect, it } from 'vitest';
import { solve as yalps } from 'yalps';
import { solve } from '../solving/highs.ts';

const solved = (posed: Posed, gap = 0) => solve(posed.mip, { first: posed.first, gap, seconds: 20 });

describe('the best placement', () => {
  it('is as good as the best of all choices, tried one by one, on small gardens', async () => {
    for (let seed = 1; seed <= 4; seed++) {
      const { plan, list } = drawn(seed, 2, 4);
      const posed = pose(plan, list);
      const { worth, bound, proved, values } = await solved(posed);
      expect(proved).toBe(true);
      expect(broken(posed.mip, values)).toEqual([]);
      expect(bound).toBeGreaterThanOrEqual(worth - 1e-6);
      expect(worth).toBeCloseTo(bestByTrying(posed), 3);
    }
  }, 60_000);

  it('is what another solver finds on middling gardens, to its tolerance, and never less', async () => {
    for (const seed of [11, 12]) {
      // Wanted for one week each, a wish has one start in each bed: few enough choices for a small solver.
      const { plan, list } = drawn(seed, 3, 12);
      const forAWeek = list.map(({ crop, ...one }) => {
        const { yieldKg } = crop;
        const wanted = { by: 'weekly' as const, amount: 250, from: '2026-07-20', until: '2026-07-24' };
        return { ...one, crop, ...(yieldKg ? wanted : {}) };
      });
      const posed = pose(
        plan,
        forAWeek.filter(({ by }) => by === 'weekly'),
      );
      expect(posed.demands.length).toBeLessThan(20);
      const mip = withoutGluts(posed.mip);
      const mine = await solve(mip, { first: posed.first.slice(0, mip.columns.length), gap: 0, seconds: 20 });
      expect(mine.proved).toBe(true);
      const theirs = worthByYalps(mip);
      expect(theirs).toBeLessThanOrEqual(mine.worth + 0.01);
      expect(theirs).toBeGreaterThanOrEqual(mine.worth * (1 - YALPS_TOLERANCE) - 0.01);
    }
  }, 60_000);

  it('keeps every rule of the garden, checked without the model', async () => {
    for (const seed of [21, 22]) {
      const { plan, list } = drawn(seed, 6, 16);
      const posed = pose(plan, list);
      expect(broken(posed.mip, posed.first)).toEqual([]);
      const { values } = await solved(posed, 0.03);
      const { chosen, unmet, met, wanted } = readPlacement(posed, values);
      expect(trespasses(plan, list, chosen)).toEqual([]);
      expect(trespasses(plan, list, readPlacement(posed, posed.first).chosen)).toEqual([]);
      const lost = unmet.reduce((sum, { wishId }) => sum + list.find(({ id }) => id === wishId)!.weight, 0);
      expect(met + lost).toBe(wanted);
    }
  }, 60_000);

  it('meets more, never less, with one more bed', async () => {
    const { plan, list } = drawn(31, 2, 6);
    const fewer = await solved(pose(plan, list));
    const more = await solved(pose({ ...plan, beds: [...plan.beds, bed(9, 4)] }, list));
    expect(more.worth).toBeGreaterThanOrEqual(fewer.worth - 1e-6);
  }, 60_000);
});

/** The model without the evening out of the harvest, whose many small terms are too much for a small solver. */
function withoutGluts(mip: Mip): Mip {
  const plain = new Mip();
  for (const { name, worth, upper, whole } of mip.columns) {
    if (!name.startsWith('glut')) plain.column(name, worth, { upper, whole });
  }
  for (const { name, terms, least, most } of mip.rows) {
    if (!name.startsWith('week')) plain.row(name, terms, least, most);
  }
  return plain;
}

/** So near to the best the other solver stops: to its very end it takes minutes. */
const YALPS_TOLERANCE = 0.02;

function worthByYalps(mip: Mip): number {
  const name = (column: number) => `c${column}`;
  const variables: Record<string, Record<string, number>> = {};
  for (const [i, { worth }] of mip.columns.entries()) variables[name(i)] = { worth };
  for (const [r, { terms }] of mip.rows.entries()) {
    for (const [column, times] of terms) variables[name(column)]![`row${r}`] = times;
  }
  const constraints: Record<string, { min?: number; max?: number }> = {};
  // What is whole is 0 or 1 here; the rest has its limits in the rows.
  for (const [r, { least, most }] of mip.rows.entries()) {
    constraints[`row${r}`] = {
      ...(Number.isFinite(least) ? { min: least } : {}),
      ...(Number.isFinite(most) ? { max: most } : {}),
    };
  }
  const binaries = mip.columns.flatMap(({ whole }, i) => (whole ? [name(i)] : []));
  const { status, result } = yalps(
    { direction: 'maximize', objective: 'worth', constraints, variables, binaries },
    { tolerance: YALPS_TOLERANCE, timeout: 20_000, maxIterations: 1_000_000 },
  );
  expect(status).toBe('optimal');
  return result;
}

describe('what a placement respects', () => {
  const tomato = plainCatalogue.crop('tomato')!;
  const found = async (plan: YearPlan, list: Wish[]) => {
    const posed = pose(plan, list);
    return readPlacement(posed, (await solved(posed)).values);
  };

  it('is what stands already: a full bed takes nothing more', async () => {
    const beds = [bed(0, 3)];
    const first = await found(season(beds), [wish(1, tomato, 3)]);
    const { candidate } = first.chosen[0]!;
    const standing = {
      id: 'stands',
      bedId: 'bed 0',
      crop: tomato,
      // Another variety than is wished for: it takes the room and does not meet the wish.
      variety: tomato.varieties[1]!,
      method: candidate.method,
      cropping: candidate.cropping,
      pattern: 'rows' as const,
      width: 1.2192,
      length: 3,
      betweenId: null,
      pinned: true,
      protection: 'none' as const,
      spacing: usualSpacing,
      practices: {},
      at: null,
      steps: candidate.steps,
    };
    const second = await found(season(beds, { plantings: [standing] }), [wish(2, tomato, 2)]);
    expect(second.chosen).toEqual([]);
    expect(second.unmet).toEqual([expect.objectContaining({ wishId: 'wish 2', why: 'room' })]);
  });

  it('is nothing for what the plan has already, and only for what it lacks where it has a part', async () => {
    const tomato = plainCatalogue.crop('tomato')!;
    const beds = [bed(0, 6), bed(1, 6), bed(2, 6)];
    const { chosen } = await found(season(beds), [wish(1, tomato, 6, { by: 'plants' })]);
    const [{ candidate, demand }] = chosen as [(typeof chosen)[number]];
    const standing = {
      ...{ id: 'there', crop: tomato, variety: tomato.varieties[0]!, pattern: demand.pattern },
      ...{
        betweenId: null,
        pinned: true,
        protection: 'none' as const,
        spacing: usualSpacing,
        practices: {},
        at: null,
      },
      ...candidate,
    };
    const of = (amount: number, over: Partial<Wish> = {}) =>
      found(season(beds, { plantings: [standing] }), [wish(1, tomato, amount, { by: 'plants', ...over })]);
    expect(await of(6)).toMatchObject({ chosen: [], unmet: [], met: 1 });
    const more = await of(10);
    expect(more.chosen.reduce((sum, one) => sum + one.demand.plants, 0)).toBe(4);
    expect(more).toMatchObject({ unmet: [], met: 1 });
    // In a bed of another kind, or of another variety, it is not what was wished for.
    expect((await of(6, { tenure: 'giving' })).met).toBe(0);
    expect((await of(6, { variety: tomato.varieties[1]! })).chosen).toHaveLength(1);
  });

  it('is whom a bed is for, the sun, the soil and the years before, each named where it binds', async () => {
    const list = [wish(1, tomato, 1)];
    const reason = async (over: Partial<PlannedBed>, more: Partial<YearPlan> = {}, wishes = list) =>
      (await found(season([bed(0, 3, over)], more), wishes)).unmet[0];
    expect(await reason({})).toBeUndefined();
    expect(await reason({ tenure: 'plot' })).toMatchObject({ why: 'barred', barrier: 'tenure' });
    expect(await reason({ sunHours: 4 })).toMatchObject({ barrier: 'sun' });
    expect(await reason({ soilDepth: 0.05 })).toMatchObject({ barrier: 'soilDepth' });
    const pepper = plainCatalogue.crop('pepper')!;
    expect(await reason({}, { before: [{ bedId: 'bed 0', year: 2024, crop: pepper }] })).toMatchObject({
      barrier: 'rotation',
    });
    expect(await reason({}, { today: '2026-09-20' })).toMatchObject({ barrier: 'dates' });
    expect(await reason({}, {}, [wish(1, tomato, 1, { tenure: 'giving' })])).toMatchObject({
      barrier: 'tenure',
    });
  });

  it('is what a garden can hold: ten tons are said to be more than there is', async () => {
    const list = [wish(1, tomato, 1e7, { by: 'weekly', from: '2026-08-01', until: '2026-09-01' })];
    const { unmet } = await found(season([bed(0, 3)]), list);
    expect(unmet[0]).toMatchObject({ why: 'moreThanGarden' });
    expect((unmet[0] as { area: number }).area).toBeGreaterThan(1000);
  });

  it('is the height of crops: corn stands where it shades no other bed at noon', async () => {
    const corn = plainCatalogue.crop('sweet-corn')!;
    const rows = [0, 1.4, 2.8].map((y, i) => ({
      ...bed(i, 1),
      ...uprightRectangle({ x: 0, y, width: 6, length: 1.2 }),
    }));
    const stands = async (latitude: number) =>
      (await found(season(rows, { latitude }), [wish(1, corn, 4)])).chosen.map(
        ({ candidate }) => candidate.bedId,
      );
    expect(new Set(await stands(44.5))).toEqual(new Set(['bed 2']));
    expect(new Set(await stands(-44.5))).toEqual(new Set(['bed 0']));
  });

  it('is the weight of wishes, and the weeks a weekly amount is wanted in', async () => {
    const list = [wish(1, tomato, 3, { weight: 1 }), wish(2, tomato, 3, { weight: 5 })];
    const { chosen } = await found(season([bed(0, 2.6)]), list);
    expect(chosen.every(({ wishId }) => wishId === 'wish 2')).toBe(true);
    const lettuce = plainCatalogue.crop('lettuce')!;
    const weekly = wish(3, lettuce, 700, { by: 'weekly', from: '2026-06-15', until: '2026-07-20' });
    const series = await found(season([bed(0, 8), bed(1, 8), bed(2, 8)]), [weekly]);
    const picks = series.chosen.map(({ candidate }) => candidate.firstPick!).sort();
    expect(picks.length).toBeGreaterThan(0);
    expect(picks[0]! <= '2026-06-26').toBe(true);
  });
});
