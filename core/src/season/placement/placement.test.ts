import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { uprightRectangle } from '../../ground/index.ts';
import { broken, worthOf } from '../../solving/index.ts';
import { usualSpacing } from '../amounts/index.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import { conflictsOf } from './conflicts.ts';
import {
  type Demand,
  demandsOf,
  groundPerPlant,
  pieceOf,
  plantsOf,
  type Wish,
  waysOf,
  yieldOf,
} from './demand.ts';
import { Filling } from './filling.ts';
import { type Posed, pose, readPlacement } from './index.ts';
import { bed, bestByTrying, drawn, season, trespasses, wish } from './testing/index.ts';

const crop = (id: string) => plainCatalogue.crop(id)!;
const tomato = crop('tomato');
const onion = crop('onion');
const bean = crop('bush-bean');
const lettuce = crop('lettuce');
const corn = crop('sweet-corn');
const popcorn = crop('popcorn');
const pepper = crop('pepper');
/** Nobody has weighed what a cover crop gives. */
const unweighed = crop('winter-killed-mix');

/** What the quick placement comes to. */
const quickly = (plan: YearPlan, list: readonly Wish[]) => {
  const posed = pose(plan, list);
  return readPlacement(posed, posed.first);
};

/** A planting that stands as one of the ways to meet a wish does. */
const standing = (
  of: Wish,
  { demand: _, off: __, from: ___, until: ____, ...way }: Candidate,
  demand: Demand,
): PlannedPlanting => ({
  ...{ id: `stands ${of.id}`, crop: of.crop, variety: of.variety, pattern: demand.pattern },
  ...{ betweenId: null, pinned: true, protection: 'none', spacing: usualSpacing, practices: {}, at: null },
  ...way,
});

describe('plants and ground of a wish', () => {
  it('are as many plants as it says, as fit its ground, or as give its weekly grams', () => {
    expect(plantsOf(wish(1, tomato, 6.2, { by: 'plants' }))).toBe(7);
    // In squares of 18 inches a tomato takes 2.25 square feet, in rows 4 by 2 ft apart 6.
    expect(groundPerPlant(tomato)).toEqual({ pattern: 'square', area: expect.closeTo(0.4572 ** 2, 9) });
    expect(plantsOf(wish(1, tomato, 2, { by: 'area' }))).toBe(9);
    expect(plantsOf(wish(1, tomato, 0.1, { by: 'area' }))).toBe(1);
    // 3.5 kg over 48 days are 510 g a week of one plant.
    expect(yieldOf(tomato)).toEqual({ grams: 3500, weeks: expect.closeTo(48 / 7, 9) });
    expect(plantsOf(wish(1, tomato, 1020, { by: 'weekly' }))).toBe(2);
    expect(plantsOf(wish(1, tomato, 1022, { by: 'weekly' }))).toBe(3);
  });

  it('are known by the metre of row where the catalogue has it so, and of once-over crops for one week', () => {
    const { weeks, grams } = yieldOf(onion)!;
    expect(weeks).toBe(1);
    expect(grams).toBeCloseTo(2.2 * 1000 * onion.inRow, 9);
    expect(plantsOf(wish(1, unweighed, 500, { by: 'weekly' }))).toBe(0);
  });

  it('is split into parts of half an ordinary bed, and not split without end', () => {
    const list = demandsOf(wish(1, tomato, 20, { by: 'plants' }), 1.5);
    // 20 tomatoes take 4.18 m².
    expect(list.map(({ part, plants, pickOn }) => [part, plants, pickOn])).toEqual([
      [0, 7, null],
      [1, 7, null],
      [2, 7, null],
    ]);
    expect(demandsOf(wish(1, tomato, 5000, { by: 'plants' }), 1.5)).toEqual([]);
  });

  it('is a series where it is wanted for weeks: each part is ready as the one before it ends', () => {
    const weekly = wish(1, lettuce, 500, { by: 'weekly', from: '2026-06-01', until: '2026-07-13' });
    expect(demandsOf(weekly, 100).map(({ pickOn }) => pickOn)).toEqual([
      '2026-06-01',
      '2026-06-22',
      '2026-07-13',
    ]);
    expect(demandsOf({ ...weekly, until: null }, 100).map(({ pickOn }) => pickOn)).toEqual(['2026-06-01']);
    expect(demandsOf({ ...weekly, until: '2026-05-01' }, 100).map(({ pickOn }) => pickOn)).toEqual([
      '2026-06-01',
    ]);
  });

  it('takes whole rows across the bed, and no more than there are', () => {
    // 4 ft by 3 m in squares of 18 inches: 2 rows of 6, at most.
    const piece = pieceOf(bed(0, 3), tomato, 'square', 5)!;
    expect(piece.width).toBeCloseTo(1.2192, 9);
    expect(piece.length).toBeCloseTo(3 * 0.4572, 9);
    expect(pieceOf(bed(0, 3), tomato, 'square', 12)).not.toBeNull();
    expect(pieceOf(bed(0, 3), tomato, 'square', 14)).toBeNull();
    expect(
      pieceOf(
        { ...bed(0, 3), ...uprightRectangle({ x: 0, y: 0, width: 0.1, length: 0.1 }) },
        tomato,
        'square',
        1,
      ),
    ).toBeNull();
  });

  it('takes its share of a round bed, with some to spare for the edge', () => {
    const round: PlannedBed = { ...bed(0, 3), form: 'circle', width: 2, length: 2 };
    const few = pieceOf(round, tomato, 'square', 2)!;
    const more = pieceOf(round, tomato, 'square', 6)!;
    expect(more.length).toBeGreaterThan(few.length);
    expect(more.length).toBeLessThanOrEqual(2);
    expect(pieceOf(round, tomato, 'square', 60)).toBeNull();
  });

  it('goes the usual way in each season of the year that is its own, and through the winter only where it must', () => {
    const { rules } = season([]);
    expect(waysOf(tomato, rules)).toEqual([
      { method: 'startIndoors', cropping: 'spring' },
      { method: 'startIndoors', cropping: 'autumn' },
    ]);
    expect(waysOf(onion, rules).map(({ cropping }) => cropping)).toEqual(['spring']);
    expect(waysOf(crop('garlic'), rules)).toEqual([{ method: 'setPlants', cropping: 'overwinter' }]);
  });
});

describe('ways to meet a wish', () => {
  const waysIn = (plan: YearPlan, list: Wish[]) => pose(plan, list).candidates;

  it('start within their window, the best day first, and none before today', () => {
    const starts = waysIn(season([bed(0, 3)]), [wish(1, bean, 1)]).filter(
      ({ cropping }) => cropping === 'spring',
    );
    const [best] = starts;
    const { window } = best!.steps.find(({ kind }) => kind === 'sow')!;
    expect(best!.startOn).toBe(window.best);
    expect(best!.off).toBe(0);
    for (const { startOn, off } of starts) {
      expect(startOn >= window.earliest && startOn <= window.latest).toBe(true);
      expect(off).toBeCloseTo(Math.abs(daysBetween(window.best, startOn)) / 7, 9);
    }
    expect(new Set(starts.map(({ startOn }) => startOn)).size).toBe(starts.length);
    expect(starts.some(({ startOn }) => startOn < window.best)).toBe(true);
    expect(starts.some(({ startOn }) => startOn === window.latest)).toBe(false);
    const today = addDays(window.best, 5);
    for (const { startOn } of waysIn(season([bed(0, 3)], { today }), [wish(1, bean, 1)])) {
      expect(startOn >= today).toBe(true);
    }
  });

  it('are picked first within ten days of the day they are wanted', () => {
    const weekly = wish(1, lettuce, 300, { by: 'weekly', from: '2026-06-20', until: '2026-06-20' });
    const ways = waysIn(season([bed(0, 3)]), [weekly]);
    expect(ways.length).toBeGreaterThan(0);
    for (const { firstPick, off } of ways) {
      expect(Math.abs(daysBetween('2026-06-20', firstPick!))).toBeLessThanOrEqual(10);
      expect(off).toBeCloseTo(Math.abs(daysBetween('2026-06-20', firstPick!)) / 7, 9);
    }
    // Tomatoes are not picked in May here.
    const early = wish(1, tomato, 300, { by: 'weekly', from: '2026-05-20', until: '2026-05-20' });
    expect(waysIn(season([bed(0, 3)]), [early])).toEqual([]);
  });

  it('stand in the ground from their first day there to the day they are cleared', () => {
    for (const { steps, from, until } of waysIn(season([bed(0, 3)]), [wish(1, tomato, 1)])) {
      expect(from).toBe(steps.find(({ kind }) => kind === 'setOut')!.on);
      expect(until).toBe(steps.find(({ kind }) => kind === 'clear')!.on);
    }
  });
});

describe('a placement', () => {
  it('by the quick way keeps every rule and every row of the model, in gardens of all kinds', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { plan, list } = drawn(seed, 4, 10);
      const posed = pose(plan, list);
      expect(broken(posed.mip, posed.first), `garden ${seed}`).toEqual([]);
      const { chosen, met, unmet, wanted } = readPlacement(posed, posed.first);
      expect(trespasses(plan, list, chosen), `garden ${seed}`).toEqual([]);
      const lost = unmet.reduce((sum, { wishId }) => sum + list.find(({ id }) => id === wishId)!.weight, 0);
      expect(met + lost).toBe(wanted);
    }
  });

  it('by the quick way comes near the best of all choices, tried one by one', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const { plan, list } = drawn(seed, 2, 4);
      const posed = pose(plan, list);
      expect(worthOf(posed.mip, posed.first), `garden ${seed}`).toBeGreaterThan(0.9 * bestByTrying(posed));
    }
  });

  it('is the same for the same season', () => {
    const { plan, list } = drawn(3, 3, 9);
    expect(quickly(plan, list)).toEqual(quickly(plan, list));
  });

  it('gives ground to what matters more', () => {
    const list = [wish(1, tomato, 3, { weight: 1 }), wish(2, pepper, 3, { weight: 5 })];
    const { chosen, unmet } = quickly(season([bed(0, 2.6)]), list);
    expect(new Set(chosen.map(({ wishId }) => wishId))).toEqual(new Set(['wish 2']));
    expect(unmet.map(({ wishId }) => wishId)).toEqual(['wish 1']);
  });

  it('has a part of a wish where not all of it fits', () => {
    // Three parts of half a bed, and two halves.
    const { chosen, unmet } = quickly(season([bed(0, 3)]), [wish(1, tomato, 5)]);
    expect(chosen.length).toBeGreaterThan(0);
    expect(unmet[0]).toMatchObject({ placed: chosen.length, why: 'room' });
    expect(unmet[0]!.parts).toBeGreaterThan(chosen.length);
  });

  it('has scallions and peas in one bed one after the other, and never together', () => {
    const plan = season([bed(0, 8)]);
    const list = [wish(1, crop('scallion'), 1), wish(2, crop('pea'), 1)];
    const posed = pose(plan, list);
    const { chosen, unmet } = readPlacement(posed, posed.first);
    expect(unmet).toEqual([]);
    const [a, b] = chosen.map(({ candidate }) => candidate) as [Candidate, Candidate];
    expect(a.until < b.from || b.until < a.from).toBe(true);
    // Taken together they break the model.
    const both = (candidates: readonly Candidate[]) => {
      const values = Float64Array.from(posed.first).fill(0);
      for (const one of candidates) values[posed.candidates.indexOf(one)] = 1;
      return broken(posed.mip, values);
    };
    const ofWish = (d: number) => posed.candidates.filter(({ demand }) => demand === d);
    for (const one of ofWish(0)) {
      for (const other of ofWish(1)) {
        const meet = one.from <= other.until && other.from <= one.until;
        expect(both([one, other]).some((name) => name.startsWith('apart'))).toBe(meet);
      }
    }
  });

  it('has two kinds of corn two weeks apart in their tassels, or one of them', () => {
    const plan = season([bed(0, 4), bed(1, 4)]);
    const posed = pose(plan, [wish(1, corn, 3), wish(2, popcorn, 3)]);
    expect(broken(posed.mip, posed.first)).toEqual([]);
    const values = Float64Array.from(posed.first).fill(0);
    const near = posed.candidates.findIndex(
      ({ demand, off }) => posed.demands[demand]!.wish.crop === corn && off === 0,
    );
    values[near] = 1;
    values[
      posed.candidates.findIndex(
        ({ demand, off }) => posed.demands[demand]!.wish.crop === popcorn && off === 0,
      )
    ] = 1;
    expect(broken(posed.mip, values).some((name) => name.startsWith('crosses'))).toBe(true);
  });
});

describe('an unmet wish', () => {
  const of = (over: Partial<PlannedBed>, more: Partial<YearPlan> = {}, list = [wish(1, tomato, 1)]) =>
    quickly(season([bed(0, 3, over)], more), list).unmet[0];

  it('names what its beds lack', () => {
    const was = { before: [{ bedId: 'bed 0', year: 2024, crop: pepper }] };
    const barred = { why: 'barred', beds: 1, of: 1 };
    expect(of({})).toBeUndefined();
    expect(of({ sunHours: 4 })).toMatchObject({ ...barred, barrier: 'sun' });
    expect(of({ soilDepth: 0.05 })).toMatchObject({ ...barred, barrier: 'soilDepth' });
    expect(of({}, was)).toMatchObject({ ...barred, barrier: 'rotation' });
    expect(of({ length: 0.4 })).toMatchObject({ ...barred, barrier: 'size' });
    expect(of({}, { today: '2026-09-20' })).toMatchObject({ ...barred, barrier: 'dates' });
    expect(of({ tenure: 'plot' })).toMatchObject({ ...barred, barrier: 'tenure' });
    expect(of({}, {}, [wish(1, tomato, 1, { tenure: 'giving' })])).toMatchObject({
      ...barred,
      barrier: 'tenure',
    });
  });

  it('names the one thing that, were it otherwise, would open the most beds', () => {
    // Two beds lack sun and soil, one only soil; a plot is not for it at all.
    const beds = [
      bed(0, 3, { sunHours: 3, soilDepth: 0.1 }),
      bed(1, 3, { sunHours: 3, soilDepth: 0.1 }),
      bed(2, 3, { soilDepth: 0.1 }),
      bed(3, 3, { tenure: 'plot' }),
    ];
    expect(quickly(season(beds), [wish(1, tomato, 1)]).unmet[0]).toMatchObject({
      ...{ why: 'barred', barrier: 'soilDepth', beds: 3, of: 3 },
    });
  });

  it('names neighbours that stand there in its time, and what tassels beside it', () => {
    const beds = [bed(0, 4)];
    const stands = (list: Wish[], is = 0) => {
      const { chosen } = quickly(season(beds), list);
      return standing(list[0]!, chosen[is]!.candidate, chosen[is]!.demand);
    };
    const onions = { ...stands([wish(9, onion, 1)]), length: 0.3 };
    const beans = [wish(1, bean, 1, { by: 'weekly', amount: 100, from: '2026-07-15', until: '2026-07-15' })];
    expect(quickly(season(beds, { plantings: [onions] }), beans).unmet[0]).toMatchObject({
      barrier: 'neighbours',
    });
    expect(quickly(season(beds), beans).unmet).toEqual([]);
    const sweet = stands([wish(9, corn, 1)]);
    // Sweet corn tassels 21 days before its first ears, popcorn 52.
    const from = addDays(sweet.steps.find(({ kind }) => kind === 'firstPick')!.on, 31);
    const wanted = [wish(1, popcorn, 10, { by: 'weekly', from, until: from, tenure: 'giving' })];
    const both = [bed(0, 4), bed(1, 4, { tenure: 'giving' })];
    expect(quickly(season(both), wanted).unmet).toEqual([]);
    const there = quickly(season(both, { plantings: [sweet] }), wanted).unmet[0];
    expect(there).toMatchObject({ barrier: 'crossing' });
  });

  it('names the days on which no bed that is fit for it is free, and their sun', () => {
    const list = [wish(1, tomato, 3, { weight: 1 }), wish(2, pepper, 3, { weight: 5 })];
    const plan = season([bed(0, 2.6), bed(1, 3, { sunHours: 3 })]);
    const posed = pose(plan, list);
    const way = posed.candidates.find(({ demand }) => posed.demands[demand]!.wish.id === 'wish 1')!;
    expect(readPlacement(posed, posed.first).unmet[0]).toMatchObject({
      ...{ wishId: 'wish 1', why: 'room', beds: 1, hours: 6, from: way.from, until: way.until },
    });
    const unknown = season([bed(0, 2.6, { sunHours: null })]);
    expect(quickly(unknown, list).unmet[0]).toMatchObject({ why: 'room', hours: null });
  });

  it('is more than the garden has, or of what nobody knows the yield', () => {
    const much = wish(1, tomato, 1e7, { by: 'weekly', from: '2026-08-01', until: '2026-09-01' });
    expect(of({}, {}, [much])).toMatchObject({ why: 'moreThanGarden', there: expect.closeTo(1.2192 * 3, 6) });
    const unknown = wish(1, unweighed, 500, { by: 'weekly' });
    expect(of({}, {}, [unknown])).toMatchObject({ why: 'noYieldKnown' });
  });
});

describe('what stands already', () => {
  const beds = [bed(0, 6), bed(1, 6)];
  const of = (amount: number, over: Partial<Wish> = {}) => {
    const first = quickly(season(beds), [wish(1, tomato, 6, { by: 'plants' })]);
    const { candidate, demand } = first.chosen[0]!;
    const plantings = [standing(wish(1, tomato, 6), candidate, demand)];
    return quickly(season(beds, { plantings }), [wish(1, tomato, amount, { by: 'plants', ...over })]);
  };

  it('meets a wish, or a part of it', () => {
    expect(of(6)).toMatchObject({ chosen: [], unmet: [], met: 1 });
    expect(of(4)).toMatchObject({ chosen: [], unmet: [], met: 1 });
    const more = of(10);
    expect(more.chosen.reduce((sum, one) => sum + one.demand.plants, 0)).toBe(4);
    expect(more).toMatchObject({ unmet: [], met: 1 });
  });

  it('does not meet one for another kind of bed or another variety', () => {
    expect(of(6, { tenure: 'giving' }).met).toBe(0);
    expect(of(6, { variety: tomato.varieties[1]! }).chosen).toHaveLength(1);
  });

  it('meets a week of a series in which it is picked', () => {
    const weekly = wish(1, lettuce, 300, { by: 'weekly', from: '2026-06-15', until: '2026-07-20' });
    const all = quickly(season(beds), [weekly]);
    const plantings = all.chosen.slice(0, 1).map((one) => standing(weekly, one.candidate, one.demand));
    const rest = quickly(season(beds, { plantings }), [weekly]);
    expect(rest.chosen).toHaveLength(all.chosen.length - 1);
    expect(rest.met).toBe(1);
  });
});

it('brings its harvest week by week, all of it in all', () => {
  const { weeks, chosen, seasonFirst } = quickly(season([bed(0, 6)]), [wish(1, tomato, 6, { by: 'plants' })]);
  expect(weeks.reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(6 * 3500, 6);
  const first = weeks.findIndex((grams) => grams > 0);
  expect(first).toBe(Math.floor(daysBetween(seasonFirst, chosen[0]!.candidate.firstPick!) / 7));
  expect(weeks.length - 1).toBe(Math.floor(daysBetween(seasonFirst, chosen[0]!.candidate.lastPick!) / 7));
});

describe('the model', () => {
  const withValues = (posed: Posed, chosen: readonly number[]) => {
    const values = Float64Array.from(posed.first).fill(0);
    for (const i of chosen) values[i] = 1;
    return values;
  };
  const worth = (posed: Posed, i: number) => posed.mip.columns[i]!.worth;

  it('lets a part stand once, and no more stand in a bed than there is ground on any day', () => {
    const posed = pose(season([bed(0, 2.6), bed(1, 2.6)]), [wish(1, tomato, 1.4), wish(2, pepper, 1.4)]);
    const of = (d: number, bedId: string) =>
      posed.candidates.findIndex((one) => one.demand === d && one.bedId === bedId && one.off === 0);
    const names = (chosen: number[]) =>
      broken(posed.mip, withValues(posed, chosen)).map((name) => name.split(' ')[0]);
    expect(names([of(0, 'bed 0'), of(0, 'bed 1')])).toContain('once');
    expect(names([of(0, 'bed 0'), of(1, 'bed 1')])).not.toContain('room');
    const full = pose(season([bed(0, 1.4)]), [wish(1, tomato, 1), wish(2, pepper, 1)]);
    const both = full.demands.map((_, d) =>
      full.candidates.findIndex(({ demand, off }) => demand === d && off === 0),
    );
    expect(broken(full.mip, withValues(full, both)).some((name) => name.startsWith('room'))).toBe(true);
  });

  it('prefers the best time, and tall crops where they shade no other bed', () => {
    const rows = [0, 1.4].map((y, i) => ({
      ...bed(i, 1),
      ...uprightRectangle({ x: 0, y, width: 6, length: 1.2 }),
    }));
    const posed = pose(season(rows), [wish(1, corn, 2)]);
    const at = (bedId: string) => posed.candidates.findIndex((one) => one.bedId === bedId && one.off === 0);
    expect(worth(posed, at('bed 1'))).toBeGreaterThan(worth(posed, at('bed 0')));
    const south = pose(season(rows, { latitude: -44.5 }), [wish(1, corn, 2)]);
    const there = (bedId: string) =>
      south.candidates.findIndex((one) => one.bedId === bedId && one.off === 0);
    expect(worth(south, there('bed 0'))).toBeGreaterThan(worth(south, there('bed 1')));
    const late = posed.candidates.findIndex((one) => one.bedId === 'bed 1' && one.off > 0);
    expect(worth(posed, at('bed 1')) - worth(posed, late)).toBeCloseTo(0.5 * posed.candidates[late]!.off, 9);
  });

  it('has a whole wish outweigh all that is less important', () => {
    const { plan, list } = drawn(5, 3, 8);
    const { mip, met, candidates } = pose(plan, list);
    const small = mip.columns.reduce((sum, { worth }) => sum + Math.max(0, -worth), 0);
    const whole = [...met.values()].map((column) => mip.columns[column]!.worth);
    for (const one of whole) expect(one).toBeGreaterThan(small);
    expect(candidates.length).toBeGreaterThan(0);
  });
});

describe('beds as they are filled', () => {
  const plan = season([bed(0, 4), bed(1, 2)]);
  const posed = () =>
    pose(plan, [wish(1, tomato, 1), wish(2, pepper, 1), wish(3, onion, 0.5), wish(4, bean, 0.5)]);
  const filled = (fixed: ConstructorParameters<typeof Filling>[3] = []) => {
    const { candidates, demands } = posed();
    const filling = new Filling(plan, demands, candidates, fixed);
    const at = (part: number, bedId: string) =>
      candidates.findIndex((one) => one.demand === part && one.bedId === bedId && one.off === 0);
    return { filling, candidates, demands, at };
  };

  it('hold what is put there until it is taken away', () => {
    const { filling, at } = filled();
    expect(filling.placeOf(0)).toBeUndefined();
    filling.put(at(0, 'bed 0'));
    filling.put(at(1, 'bed 0'));
    expect(filling.placeOf(0)).toBe(at(0, 'bed 0'));
    expect(filling.chosen).toEqual([at(0, 'bed 0'), at(1, 'bed 0')]);
    expect(filling.besides(at(2, 'bed 0'))).toEqual([0, 1]);
    expect(filling.besides(at(2, 'bed 1'))).toEqual([]);
    filling.take(0);
    filling.take(0);
    expect(filling.besides(at(2, 'bed 0'))).toEqual([1]);
    filling.restore([at(3, 'bed 1')]);
    expect(filling.chosen).toEqual([at(3, 'bed 1')]);
    expect(filling.besides(at(2, 'bed 0'))).toEqual([]);
  });

  it('take what there is ground for on each of its days, beside what stood there before', () => {
    const { candidates, at } = filled();
    const { from, until, length } = candidates[at(0, 'bed 1')]!;
    const stood = (free: number, begin = from, end = until) => ({
      ...{ id: 'stood', bedId: 'bed 1', width: 1.2192, length: 2 - free, betweenId: null },
      ...{ from: begin, until: end },
    });
    const fits = (one: ReturnType<typeof stood>) => filled([one]).filling.fits(at(0, 'bed 1'));
    expect(fits(stood(length))).toBe(true);
    expect(fits(stood(length - 0.01))).toBe(false);
    // On its last day too, and on its first, and never beside what is gone or still to come.
    expect(fits(stood(0.1, until, addDays(until, 30)))).toBe(false);
    expect(fits(stood(0.1, addDays(until, 1), addDays(until, 30)))).toBe(true);
    expect(fits(stood(0.1, addDays(from, -30), from))).toBe(false);
    expect(fits(stood(0.1, addDays(from, -30), addDays(from, -1)))).toBe(true);
    expect(fits({ ...stood(0.1), bedId: 'bed 0' })).toBe(true);
    // What stood there is not among the parts of wishes.
    expect(filled([stood(length)]).filling.besides(at(0, 'bed 1'))).toEqual([]);
  });

  it('keep apart what harms each other, and only while it stands', () => {
    const { filling, at } = filled();
    filling.put(at(2, 'bed 0'));
    expect(filling.fits(at(3, 'bed 0'))).toBe(false);
    expect(filling.fits(at(3, 'bed 1'))).toBe(true);
    filling.take(2);
    expect(filling.fits(at(3, 'bed 0'))).toBe(true);
  });

  it('take each part once, at its best time, or from another of its ways on', () => {
    const { filling, candidates } = filled();
    const [list] = filling.byPart;
    expect(list!.map((i) => candidates[i]!.off)).toEqual(
      [...list!.map((i) => candidates[i]!.off)].sort((a, b) => a - b),
    );
    filling.place([0], 0);
    expect(filling.placeOf(0)).toBe(list![0]);
    filling.place([0], 3);
    expect(filling.placeOf(0)).toBe(list![0]);
    filling.take(0);
    filling.place([0], 3);
    expect(filling.placeOf(0)).toBe(list![3]);
    filling.take(0);
    filling.place([0], list!.length + 1);
    expect(filling.placeOf(0)).toBe(list![1]);
  });

  it('have in each other’s way only what harms each other, or crosses', () => {
    const { demands, candidates, at } = filled();
    const { near, clash } = conflictsOf(plan, demands, candidates);
    expect(near.map((parts) => [...parts])).toEqual([[], [], [3], [2]]);
    expect(clash(at(2, 'bed 0'), at(3, 'bed 0'))).toBe(true);
    expect(clash(at(2, 'bed 0'), at(3, 'bed 1'))).toBe(false);
    expect(clash(at(0, 'bed 0'), at(1, 'bed 0'))).toBe(false);
  });
});
