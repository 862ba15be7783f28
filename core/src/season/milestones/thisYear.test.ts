import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { almanacOf, almanacOfYear, climateOfNormals, SEED_DEPTH_MM, yearSoFar } from '../../place/index.ts';
import { computeMilestones, type Milestone, type PlantingPlan } from '../index.ts';
import { gatesOf } from '../windows/index.ts';

/* This year's weather moves the dates of its plantings, and says so. */

// Invented: a cold inland place.
const climate = climateOfNormals(
  { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' },
  {
    low: [-13.5, -12, -6, 0.2, 5.7, 11.6, 14.6, 13.5, 8.3, 2.7, -2.6, -9.3],
    high: [-4.5, -2.5, 3.8, 12, 19, 24.3, 26.8, 25.6, 21, 13.5, 5.8, -1.6],
    rain: [30, 26, 48, 68, 80, 98, 88, 85, 78, 66, 54, 37],
  },
);
const usual = almanacOf(climate);

/** The garden on a day after a spring that differs from the usual by so much since 1 March. */
function after(today: string, offC: number) {
  const seen = Array.from({ length: usual.seasonDayOf(2026, today) }, (_, seasonDay) => {
    const off = seasonDay >= 59 ? offC : 0;
    return {
      on: addDays('2026-01-01', seasonDay),
      low: usual.low[seasonDay]! + off,
      high: usual.high[seasonDay]! + off,
    };
  });
  return almanacOf({ ...climate, thisYear: yearSoFar(climate.latitude, today, seen) });
}

const plan = (id: string, year = 2026, method: PlantingPlan['method'] = 'sowInPlace'): PlantingPlan => {
  const crop = plainCatalogue.crop(id)!;
  return { crop, variety: crop.varieties[0]!, method, cropping: 'spring', year, startOn: null };
};
const step = (steps: Milestone[] | null, kind: Milestone['kind']) => steps!.find((one) => one.kind === kind)!;
const sowing = (id: string, spot = usual, year = 2026) =>
  step(computeMilestones(plan(id, year), spot), 'sow');
const movedBy = ({ reasons }: Milestone, bound: 'earliest' | 'best' | 'latest') =>
  reasons[bound].flatMap((reason) => (reason.code === 'thisYear' ? [reason.days] : []));

describe('a warm spring', () => {
  const spot = after('2026-04-14', 5);

  it.each(['carrot', 'beet', 'pea'])('lets %s be sown sooner, and says by how much', (id) => {
    const [then, now] = [sowing(id), sowing(id, spot)];
    const days = daysBetween(then.window.best, now.window.best);
    expect(days).toBeLessThan(-3);
    expect(movedBy(now, 'best')).toEqual([days]);
    expect(movedBy(then, 'best')).toEqual([]);
  });

  it('moves each end of a window by its own days, and keeps what else is said of it', () => {
    const [then, now] = [sowing('carrot'), sowing('carrot', spot)];
    for (const bound of ['earliest', 'best', 'latest'] as const) {
      const days = daysBetween(then.window[bound], now.window[bound]);
      expect(movedBy(now, bound), bound).toEqual(days === 0 ? [] : [days]);
      // By how much it moved comes after what it stands on.
      expect(now.reasons[bound][0]!.code, bound).not.toBe('thisYear');
    }
    expect(daysBetween(then.window.earliest, now.window.earliest)).not.toBe(0);
  });

  it('says nothing of a window that it does not move', () => {
    // Set out when the nights are warm, weeks after what is known.
    const late = (where: typeof usual) =>
      step(computeMilestones(plan('sweet-potato', 2026, 'setPlants'), where), 'setOut');
    const [then, now] = [late(usual), late(spot)];
    for (const bound of ['earliest', 'best', 'latest'] as const) {
      const days = daysBetween(then.window[bound], now.window[bound]);
      expect(movedBy(now, bound), bound).toEqual(days === 0 ? [] : [days]);
    }
  });

  it('brings the first pick of what stands sooner', () => {
    const sown = { ...plan('pea'), startOn: '2026-04-10' };
    const picked = (almanac: typeof usual) => step(computeMilestones(sown, almanac), 'firstPick').on;
    expect(picked(after('2026-05-30', 4)) < picked(usual)).toBe(true);
  });

  it('leaves next year alone', () => {
    expect(sowing('pea', spot, 2027)).toEqual(sowing('pea', usual, 2027));
  });

  it('hurries nothing that waits for nights and frosts of weeks ahead', () => {
    const [then, now] = [usual, spot].map((almanac) =>
      step(computeMilestones(plan('tomato', 2026, 'startIndoors'), almanac), 'setOut'),
    );
    expect(Math.abs(daysBetween(then!.window.earliest, now!.window.earliest))).toBeLessThanOrEqual(2);
  });
});

describe('a cold spring', () => {
  it('holds sowings back', () => {
    const now = sowing('carrot', after('2026-04-30', -5));
    expect(now.window.best > addDays(sowing('carrot').window.best, 5)).toBe(true);
    expect(movedBy(now, 'best')[0]).toBeGreaterThan(5);
  });
});

describe('a thermometer in the soil', () => {
  const warmed = (soilC: number) => {
    const soil = [{ bedId: 'a', seasonDay: usual.seasonDayOf(2026, '2026-04-08'), soilC }];
    const { thisYear } = after('2026-04-09', 0).climate;
    return almanacOf({ ...climate, thisYear: { ...thisYear!, soil } }, { bedId: 'a' });
  };

  it('opens the bed that is warm, and holds back the one that is cold', () => {
    const gate = (spot: typeof usual) => gatesOf(almanacOfYear(spot, 2026), 2026).soilWarm(8).seasonDay;
    expect(gate(warmed(14))).toBe(usual.seasonDayOf(2026, '2026-04-08'));
    expect(gate(warmed(0))).toBeGreaterThan(gate(usual));
    expect(sowing('pea', warmed(0)).window.earliest > sowing('pea').window.earliest).toBe(true);
  });

  it('says when seed sown that day is up', () => {
    const up = (spot: typeof usual) =>
      step(computeMilestones({ ...plan('pea'), startOn: '2026-04-09' }, spot), 'emerge').on;
    expect(up(warmed(16)) < up(usual)).toBe(true);
  });
});

describe('heat of this year', () => {
  /** The gates on a day, after a spell that was so much warmer than usual from one season day to another. */
  const gatesAfter = (today: string, from: number, to: number, offC: number) => {
    const seen = Array.from({ length: usual.seasonDayOf(2026, today) }, (_, seasonDay) => {
      const off = seasonDay >= from && seasonDay < to ? offC : 0;
      const [low, high] = [usual.low[seasonDay]! + off, usual.high[seasonDay]! + off];
      return { on: addDays('2026-01-01', seasonDay), low, high };
    });
    const spot = almanacOf({ ...climate, thisYear: yearSoFar(climate.latitude, today, seen) });
    return gatesOf(almanacOfYear(spot, 2026), 2026);
  };
  const hottest = Math.max(...usual.soil(SEED_DEPTH_MM));

  it('keeps seed out of soil that is still too hot for it, which usually it never is', () => {
    const c = hottest + 2;
    expect(gatesOf(usual, 2026).soilCoolEnough(c)).toBeNull();
    const today = usual.seasonDayOf(2026, '2026-08-20');
    const { seasonDay } = gatesAfter('2026-08-20', 190, today, 8).soilCoolEnough(c)!;
    expect(seasonDay).toBeGreaterThanOrEqual(today);
    expect(seasonDay).toBeLessThan(today + 15);
  });

  it('closes a spring from the day the heat began, and not for a spell that is over', () => {
    const c = hottest - 6;
    const then = gatesOf(usual, 2026).soilTooHot(c, 100)!.seasonDay;
    expect(then).toBeGreaterThan(135);
    // Hot since the day 120, and hot today.
    const now = gatesAfter('2026-05-12', 118, 131, 14).soilTooHot(c, 100)!.seasonDay;
    expect(now).toBeGreaterThanOrEqual(118);
    expect(now).toBeLessThan(131);
    // The same spell two weeks ago has closed nothing.
    const over = gatesAfter('2026-05-14', 105, 116, 14).soilTooHot(c, 100)!.seasonDay;
    expect(Math.abs(over - then)).toBeLessThanOrEqual(3);
  });
});
