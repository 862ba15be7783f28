import { describe, expect, it } from 'vitest';
import { addDays, type Day, daysBetween, laterOf } from '../../calendar/index.ts';
import { almanacOf, climateOfNormals, earlierQuantile, laterQuantile } from '../../place/index.ts';
import { humidSubtropical, lowDesert, tropical } from '../regions/climates.ts';
import { defaultRules } from '../rules.ts';
import { almanac, plan } from '../testing.ts';
import { growthOf, killsAt, outdoorDays } from '../windows/index.ts';
import { computeMilestones } from './computeMilestones.ts';
import type { Milestone, MilestoneKind } from './milestone.ts';

/* When a planting is picked, for how long, and when it is cleared: KNOWLEDGE 3.8 and 3.10, the days of the catalogue. */

const year = 2026;
type Over = Parameters<typeof plan>[1];
const stepsOf = (id: string, over: Over = {}, where = almanac) =>
  computeMilestones(plan(id, over), where, defaultRules)!;
const of = (steps: Milestone[], kind: MilestoneKind) => steps.find((one) => one.kind === kind)!;
const codes = ({ reasons }: Milestone) => reasons.best.map(({ code }) => code);
const said = <Code extends string>({ reasons }: Milestone, code: Code) =>
  reasons.best.find((reason) => reason.code === code) as Record<string, unknown> | undefined;
const inPlace = { method: 'sowInPlace' } as const;
const freeze = (atC: number): Day => almanac.day(year, earlierQuantile(almanac.firstFreeze(atC), 0.5)!);
const subtropical = almanacOf(climateOfNormals(humidSubtropical.place, humidSubtropical.normals));
const desert = almanacOf(climateOfNormals(lowDesert.place, lowDesert.normals));

describe('the first pick', () => {
  it('is counted from the bed by growth: its quoted days, fewest to most, at the warmth of the place', () => {
    const asked = { ...inPlace, startOn: '2026-05-28' };
    const { variety } = plan('bush-bean', asked);
    const { fewest, usual, most } = variety.daysToMaturity;
    const steps = stepsOf('bush-bean', asked);
    const pick = of(steps, 'firstPick');
    const from = almanac.seasonDayOf(year, '2026-05-28');
    const growth = growthOf(almanac, plan('bush-bean').crop);
    const at = (days: number) => addDays('2026-05-28', growth.daysFrom(from, days));
    expect(pick.window).toEqual({ earliest: at(fewest), best: at(usual), latest: at(most) });
    expect(said(pick, 'maturity')).toEqual({
      ...{ code: 'maturity', fewest, most, from: '2026-05-28', since: 'sowing' },
    });
  });

  it('says by how much growth is slower or faster than quoted, from four days on', () => {
    let boundary = 0;
    for (const id of ['bush-bean', 'lettuce', 'zucchini', 'beet', 'pak-choi', 'arugula', 'carrot'])
      for (let n = 0; n < 100; n += 3) {
        const over = { ...inPlace, startOn: addDays('2026-04-20', n) };
        const pick = of(stepsOf(id, over), 'firstPick');
        // What frost cuts short says so instead.
        if (codes(pick).includes('mayNotFinish')) continue;
        const { added } = outdoorDays(plan(id).crop, plan(id).variety.daysToMaturity, 'sowInPlace');
        const off =
          daysBetween(over.startOn, pick.window.best) - plan(id).variety.daysToMaturity.usual - added;
        if (Math.abs(off) === 4) boundary += 1;
        expect(said(pick, 'slowGrowth'), id).toEqual(
          off >= 4 ? { code: 'slowGrowth', days: off } : undefined,
        );
        expect(said(pick, 'fastGrowth'), id).toEqual(
          off <= -4 ? { code: 'fastGrowth', days: -off } : undefined,
        );
      }
    expect(boundary).toBeGreaterThan(4);
  });

  it('is not in less than half of its days from when it is up', () => {
    const tropics = almanacOf(climateOfNormals(tropical.place, tropical.normals));
    for (const id of ['radish', 'arugula', 'bush-bean', 'zucchini']) {
      const steps = stepsOf(id, { ...inPlace, startOn: '2026-06-01' }, tropics);
      const { usual } = plan(id).variety.daysToMaturity;
      const least = addDays(of(steps, 'emerge').on, Math.round(usual / 2));
      expect(of(steps, 'firstPick').window.best >= least, id).toBe(true);
    }
    // A quick crop in great warmth: seed that is up later is picked later.
    const quick = { ...plan('radish').variety, daysToMaturity: { fewest: 4, usual: 6, most: 8 } };
    const steps = stepsOf('radish', { ...inPlace, variety: quick, startOn: '2026-06-15' });
    const up = daysBetween('2026-06-15', of(steps, 'emerge').on);
    expect(daysBetween('2026-06-15', of(steps, 'firstPick').window.best)).toBeGreaterThanOrEqual(up + 3);
  });

  it('of what is counted from setting out says so, and what sowing in place adds to it', () => {
    const out = stepsOf('tomato', { method: 'startIndoors' });
    expect(said(of(out, 'firstPick'), 'maturity')).toMatchObject({
      from: of(out, 'setOut').on,
      since: 'settingOut',
    });
    const sown = of(stepsOf('kale', { ...inPlace, startOn: '2026-05-20' }), 'firstPick');
    expect(said(sown, 'slowerInPlace')?.days).toBeGreaterThan(0);
    const plants = of(stepsOf('lettuce', { method: 'startIndoors' }), 'firstPick');
    expect(said(plants, 'alreadyGrown')?.days).toBeGreaterThan(0);
    const as = of(stepsOf('bush-bean', { ...inPlace, startOn: '2026-05-28' }), 'firstPick');
    expect(codes(as)).not.toContain('slowerInPlace');
    expect(codes(as)).not.toContain('alreadyGrown');
  });

  it('of a tender crop that would not be ready by the frost is taken with the frost, which is told', () => {
    const late = stepsOf('tomato', { method: 'setPlants', startOn: '2026-08-20' });
    const pick = of(late, 'firstPick');
    const limit = freeze(killsAt(plan('tomato').crop));
    expect(said(pick, 'mayNotFinish')).toMatchObject({ limit });
    expect(pick.window.best).toBe(limit);
    expect(pick.window.earliest <= limit).toBe(true);
    expect(pick.window.latest <= addDays(limit, 7)).toBe(true);
    expect(
      codes(of(stepsOf('tomato', { method: 'setPlants', startOn: '2026-06-01' }), 'firstPick')),
    ).not.toContain('mayNotFinish');
    // Frost does not take kale.
    expect(codes(of(stepsOf('kale', { ...inPlace, startOn: '2026-08-25' }), 'firstPick'))).not.toContain(
      'mayNotFinish',
    );
  });

  it('of parsnips waits for the first frosts, a week after the first, and of carrots does not', () => {
    const pick = of(stepsOf('parsnip', { startOn: '2026-04-20' }), 'firstPick');
    const firstFrost = freeze(0);
    expect(pick.window).toMatchObject({ earliest: firstFrost, best: addDays(firstFrost, 7) });
    expect(said(pick, 'sweetened')).toEqual({ code: 'sweetened', firstFrost });
    const late = of(stepsOf('parsnip', { startOn: '2026-07-20' }), 'firstPick');
    expect(late.window.best > addDays(firstFrost, 7)).toBe(true);
    expect(codes(late)).not.toContain('sweetened');
    expect(codes(of(stepsOf('carrot', { startOn: '2026-04-20' }), 'firstPick'))).not.toContain('sweetened');
  });
});

describe('the last pick', () => {
  it('of what bears on is when frost kills it, within two weeks', () => {
    const steps = stepsOf('zucchini', { ...inPlace, startOn: '2026-05-25' });
    const last = of(steps, 'lastPick');
    const frost = freeze(killsAt(plan('zucchini').crop));
    expect(last.window).toEqual({ earliest: addDays(frost, -14), best: frost, latest: addDays(frost, 14) });
    expect(last.reasons.best).toEqual([
      { code: 'bearsOn', until: frost },
      { code: 'frostEnds', firstFrost: frost },
    ]);
  });

  it('of a determinate tomato is after its own span', () => {
    const { crop } = plan('tomato');
    const bush = crop.varieties.find(({ traits }) => traits?.includes('determinate'))!;
    const steps = stepsOf('tomato', { method: 'setPlants', variety: bush, startOn: '2026-05-25' });
    const first = of(steps, 'firstPick').on;
    const { fewest, usual, most } = crop.pickDays;
    const last = of(steps, 'lastPick');
    expect(last.window.earliest).toBe(addDays(first, fewest));
    expect(last.on <= addDays(first, usual)).toBe(true);
    expect(said(last, 'picking')).toEqual({ code: 'picking', fewest, most, from: first });
  });

  it('is cut short by the frost, and says so, only where it comes within the span', () => {
    const late = of(stepsOf('bush-bean', { ...inPlace, startOn: '2026-07-30' }), 'lastPick');
    const frost = freeze(killsAt(plan('bush-bean').crop));
    expect(late.window.best).toBe(frost);
    expect(late.window.earliest <= frost).toBe(true);
    expect(late.window.latest <= addDays(frost, 14)).toBe(true);
    expect(codes(late)).toEqual(['picking', 'frostEnds']);
    const early = stepsOf('bush-bean', { ...inPlace, startOn: '2026-05-28' });
    expect(codes(of(early, 'lastPick'))).toEqual(['picking']);
    expect(daysBetween(of(early, 'firstPick').on, of(early, 'lastPick').on)).toBe(
      plan('bush-bean').crop.pickDays.usual,
    );
  });

  it('of peas is when days reach 77 °F, and what is ripe by then is still picked for its shortest span', () => {
    const late = stepsOf('pea', { startOn: '2026-05-03' });
    const last = of(late, 'lastPick');
    const heat = said(last, 'heatStops') as { highC: number; on: Day } | undefined;
    expect(heat?.highC).toBe(25);
    const shortest = addDays(of(late, 'firstPick').on, plan('pea').crop.pickDays.fewest);
    expect(last.on).toBe(laterOf(heat!.on, shortest));
  });

  it('of kale that stands through a mild winter is when it bolts, about the middle of March', () => {
    const steps = stepsOf('kale', { ...inPlace, cropping: 'autumn', startOn: '2026-09-20' }, subtropical);
    expect(of(steps, 'lastPick').reasons.best.at(-1)).toEqual({ code: 'bolts', on: '2027-03-17' });
  });

  it('is of a winter’s leaves in a desert before the heat of the year after', () => {
    const steps = stepsOf('lettuce', { ...inPlace, cropping: 'autumn', startOn: '2026-10-20' }, desert);
    const pick = of(steps, 'firstPick').on;
    expect(pick > '2026-11-20' && pick < '2027-02-01').toBe(true);
    expect(of(steps, 'lastPick').on > pick).toBe(true);
  });

  it('is followed by clearing within a week, two at the most; what stands for years is not cleared', () => {
    const steps = stepsOf('radish', { startOn: '2026-04-20' });
    const last = of(steps, 'lastPick').on;
    expect(of(steps, 'clear').window).toEqual({
      earliest: last,
      best: addDays(last, 7),
      latest: addDays(last, 14),
    });
    expect(of(steps, 'clear').reasons.best).toEqual([{ code: 'clearAfter', days: 7, from: last }]);
    expect(of(stepsOf('strawberry'), 'clear')).toBeUndefined();
  });
});

describe('what is planted for another year', () => {
  const lastFrost = (of: number) => almanac.day(of, laterQuantile(almanac.lastFreeze(0), 0.5)!);

  it('garlic is lifted after its days of growth from midwinter on, and cleared with it', () => {
    const steps = stepsOf('garlic');
    const days = plan('garlic').variety.daysToMaturity;
    const growth = growthOf(almanac, plan('garlic').crop);
    const ready = (of: number) => almanac.day(year, 365 + growth.daysFrom(365, of));
    const pick = of(steps, 'firstPick');
    expect(pick.window).toEqual({
      earliest: ready(days.fewest),
      best: ready(days.usual),
      latest: ready(days.most),
    });
    expect(pick.reasons.best).toEqual([{ code: 'growsFromMidwinter', days: days.usual, from: '2027-01-01' }]);
    // Midsummer in a cold place: KNOWLEDGE 3.10.
    expect(pick.on > '2027-06-20' && pick.on < '2027-08-10').toBe(true);
    const { fewest, usual, most } = plan('garlic').crop.pickDays;
    expect(of(steps, 'lastPick').window).toEqual({
      earliest: addDays(pick.on, fewest),
      best: addDays(pick.on, usual),
      latest: addDays(pick.on, most),
    });
    expect(of(steps, 'clear').on).toBe(addDays(of(steps, 'lastPick').on, 7));
  });

  it('what has days of its own after the last frost goes by them', () => {
    const crop = {
      ...plan('garlic').crop,
      overwinters: { harvestAfterLastFrost: [40, 61] as [number, number] },
    };
    const frost = lastFrost(year + 1);
    const pick = of(stepsOf('garlic', { crop }), 'firstPick');
    expect(pick.window).toEqual({
      earliest: addDays(frost, 40),
      best: addDays(frost, 51),
      latest: addDays(frost, 61),
    });
    expect(pick.reasons.best).toEqual([{ code: 'winterRest', from: 40, to: 61, lastFrost: frost }]);
  });

  it('asparagus is first picked after the years it needs, by the spring of that year', () => {
    const { crop } = plan('asparagus');
    const { yearsToCrop } = crop.perennial!;
    const pick = of(stepsOf('asparagus'), 'firstPick');
    expect(pick.on.slice(0, 4)).toBe(String(year + yearsToCrop));
    expect(pick.reasons.best[0]).toEqual({ code: 'yearsToCrop', years: yearsToCrop, planted: year });
  });

  it('a cover that stood through the winter is cut by its days about the last frost of the year after', () => {
    const { crop } = plan('winter-hardy-mix');
    const [from, to] = crop.overwinters!.harvestAfterLastFrost;
    const frost = lastFrost(year + 1);
    const clear = of(stepsOf('winter-hardy-mix'), 'clear');
    expect(clear.window).toEqual({
      earliest: addDays(frost, from),
      best: addDays(frost, Math.round((from + to) / 2)),
      latest: addDays(frost, to),
    });
    expect(clear.reasons.best).toEqual([{ code: 'cutDown', from, to, lastFrost: frost }]);
  });

  it('a cover that winter kills is pulled aside five to two weeks before the last frost', () => {
    const steps = stepsOf('winter-killed-mix', {});
    const frost = lastFrost(year + 1);
    expect(of(steps, 'firstPick')).toBeUndefined();
    const clear = of(steps, 'clear');
    const [from, to] = plan('winter-killed-mix').crop.overwinters?.harvestAfterLastFrost ?? [-35, -14];
    expect(clear.window).toEqual({
      earliest: addDays(frost, from),
      best: addDays(frost, Math.round((from + to) / 2)),
      latest: addDays(frost, to),
    });
    expect(clear.reasons.best).toEqual([{ code: 'cutDown', from, to, lastFrost: frost }]);
  });
});
