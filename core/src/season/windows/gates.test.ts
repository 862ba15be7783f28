import { describe, expect, it } from 'vitest';
import { daysToEmergence, plainCatalogue } from '../../crops/index.ts';
import {
  almanacOf,
  climateOfFrosts,
  climateOfNormals,
  earlierQuantile,
  laterQuantile,
  YEAR,
} from '../../place/index.ts';
import { lowDesert, tropical } from '../regions/climates.ts';
import { almanac, northern } from '../testing.ts';
import { firstClosed, gatesOf, lastOpen } from './gates.ts';
import { growingHeat, settingHeat } from './hotSpell.ts';

const crop = (id: string) => plainCatalogue.crop(id)!;
const gates = gatesOf(almanac, 2026);
const desert = almanacOf(climateOfNormals(lowDesert.place, lowDesert.normals));
const lowlands = almanacOf(climateOfNormals(tropical.place, tropical.normals));
const gate = (seasonDay: number) => ({ seasonDay, reason: { code: 'openSeason' as const } });

it('opens with the last of gates and closes with the first, the one named before where two are alike', () => {
  const [early, late, again] = [gate(10), gate(20), gate(20)];
  expect(lastOpen([early, late, again])).toBe(late);
  expect(firstClosed([late, early, gate(10)])).toBe(early);
});

describe('frost', () => {
  it('is past on the first whole day after which it comes in no more than the risk', () => {
    const seasonDay = laterQuantile(almanac.lastFreeze(0), 0.25)!;
    const { seasonDay: whole, reason } = gates.frostPast(0, 0.25);
    expect(whole).toBe(Math.ceil(seasonDay));
    expect(reason).toEqual({ code: 'frostPast', atC: 0, risk: 0.25, by: almanac.day(2026, whole) });
    const up = gates.frostPast(0, 0.25, 5);
    expect(up.seasonDay).toBe(whole - 5);
    expect(up.reason).toMatchObject({ code: 'frostPastWhenUp', days: 5, by: almanac.day(2026, whole) });
    expect(gatesOf(lowlands, 2026).frostPast(0, 0.25)).toEqual({
      seasonDay: 0,
      reason: { code: 'frostNever', atC: 0 },
    });
  });
});

describe('nights', () => {
  it('are steady once they are in so many of the years', () => {
    const { seasonDay, reason } = gates.nightsSteady(8, 0.75);
    expect(seasonDay).toBe(Math.ceil(earlierQuantile(almanac.nightsFrom(8), 0.75)!));
    expect(reason).toEqual({
      code: 'nightsSteady',
      nightC: 8,
      share: 0.75,
      by: almanac.day(2026, seasonDay),
    });
  });

  it('hold nothing back where they always are, and wait for the warmest where they seldom are', () => {
    expect(gatesOf(lowlands, 2026).nightsSteady(8, 0.75)).toEqual(gate(0));
    const rarely = gates.nightsSteady(20, 0.75);
    expect(rarely.reason).toMatchObject({ code: 'nightsRarely', nightC: 20 });
    const warmest = almanac.low.indexOf(Math.max(...almanac.low));
    expect(rarely.seasonDay).toBe(warmest - 30);
  });

  it('are counted from the last frost where nothing is known of them: three weeks for 10 °C, three days more a degree', () => {
    const known = gatesOf(almanacOf(climateOfFrosts(northern)), 2026);
    const frost = known.frostPast(0, 0.5).seasonDay;
    for (const [nightC, days] of [
      [10, 21],
      [11, 24],
      [13, 30],
    ] as const)
      expect(known.nightsSteady(nightC, 0.75)).toMatchObject({
        seasonDay: frost + days,
        reason: { code: 'weeksAfterFrost', days, nightC },
      });
    expect(known.nightsSteady(9, 0.75).reason.code).toBe('nightsSteady');
  });
});

describe('soil', () => {
  const soil = almanac.soil(50);

  it('is warm on the first day it reaches a temperature', () => {
    const { seasonDay, reason } = gates.soilWarm(10);
    expect(soil[seasonDay]!).toBeGreaterThanOrEqual(10);
    expect(soil[seasonDay - 1]!).toBeLessThan(10);
    expect(reason).toEqual({ code: 'soilWarm', soilC: 10, by: almanac.day(2026, seasonDay) });
    expect(gates.soilWarm(40).reason).toEqual({ code: 'soilRarely', soilC: 40 });
  });

  it('brings seed up within days from the coldest half degree at which it does', () => {
    const bean = crop('bush-bean');
    const { reason } = gates.soilQuick(bean, 17)!;
    if (reason.code !== 'soilQuick') throw new Error(reason.code);
    expect(daysToEmergence(bean, reason.soilC)!).toBeLessThanOrEqual(17);
    const colder = daysToEmergence(bean, reason.soilC - 0.5);
    expect(reason.soilC === bean.germination.least || colder === null || colder > 17).toBe(true);
    expect(gates.soilQuick(bean, 1)).toBeNull();
  });

  it('has cooled on the first day after midsummer, never where it does not', () => {
    const cooled = gates.soilCooled(10, 'soilCooled')!;
    expect(cooled.seasonDay).toBeGreaterThan(200);
    expect(soil[cooled.seasonDay]!).toBeLessThanOrEqual(10);
    expect(soil[cooled.seasonDay - 1]!).toBeGreaterThan(10);
    expect(cooled.reason).toEqual({ code: 'soilCooled', soilC: 10, by: almanac.day(2026, cooled.seasonDay) });
    expect(gatesOf(lowlands, 2026).soilCooled(10, 'soilCooled')).toBeNull();
  });

  it('is too hot for seed from one day on, and cool enough again from another', () => {
    const [hot, of] = [desert.soil(50), gatesOf(desert, 2026)];
    const closes = of.soilTooHot(29, 40)!;
    expect(hot[closes.seasonDay]!).toBeGreaterThan(29);
    expect(hot[closes.seasonDay - 1]!).toBeLessThanOrEqual(29);
    expect(closes.reason).toEqual({ code: 'soilTooHot', soilC: 29, on: desert.day(2026, closes.seasonDay) });
    const opens = of.soilCoolEnough(29)!;
    expect(hot[opens.seasonDay]!).toBeLessThanOrEqual(29);
    expect(hot[opens.seasonDay - 1]!).toBeGreaterThan(29);
    expect(opens.reason).toEqual({ code: 'soilHot', soilC: 29, by: desert.day(2026, opens.seasonDay) });
    expect(of.soilTooHot(29, opens.seasonDay)).toBeNull();
    expect([gates.soilTooHot(35, 0), gates.soilCoolEnough(35)]).toEqual([null, null]);
  });

  it('brings seed up a day at a time, and none that is not up in a quarter of a year', () => {
    const pea = crop('pea');
    const alike = almanacOf(
      climateOfNormals(
        { latitude: 0, longitude: 0, lastFrost: null, firstFrost: null },
        { low: new Array(12).fill(8), high: new Array(12).fill(16), rain: new Array(12).fill(50) },
      ),
    );
    const soilC = alike.soil(50)[100]!;
    const expected = daysToEmergence(pea, soilC)!;
    for (const seasonDay of [-200, 100, 364, 900])
      expect(Math.abs(gatesOf(alike, 2026).daysToUp(pea, seasonDay, 0) - expected)).toBeLessThanOrEqual(2);
    expect(gates.daysToUp(crop('okra'), 0, 0)).toBe(90);
    expect(gates.daysToUp(pea, 90, 3)).toBeLessThan(gates.daysToUp(pea, 90, 0));
    expect(gates.soilAt(100.4)).toBe(almanac.soil(50)[104]!);
    expect(gates.soilAt(-1)).toBe(almanac.soil(50)[3]!);
  });
});

describe('growth', () => {
  const lettuce = crop('lettuce');
  const rates = Float64Array.from({ length: YEAR }, (_, p) => {
    const sums = almanac.growth(lettuce.growth);
    return sums[p + 1]! - sums[p]!;
  });

  it('comes back on the first day from which it stays above a share until midsummer', () => {
    const { seasonDay, reason } = gates.growsAgain(lettuce, 0.5)!;
    expect(rates[seasonDay]!).toBeGreaterThanOrEqual(0.5);
    expect(rates[seasonDay - 1]!).toBeLessThan(0.5);
    expect(reason).toEqual({ code: 'growsAgain', share: 0.5, by: almanac.day(2026, seasonDay) });
    expect(gatesOf(lowlands, 2026).growsAgain(lettuce, 0.5)).toBeNull();
  });

  it('stops on the first day after midsummer that is below a share', () => {
    const seasonDay = gates.growthStops(lettuce, 0.25)!;
    expect(seasonDay).toBeGreaterThan(250);
    expect(rates[seasonDay]!).toBeLessThan(0.25);
    expect(rates[seasonDay - 1]!).toBeGreaterThanOrEqual(0.25);
    expect(gatesOf(lowlands, 2026).growthStops(lettuce, 0.25)).toBeNull();
  });
});

describe('heat', () => {
  it('parts the year where days, or days and nights, are as hot as ends a crop or its setting', () => {
    const spell = growingHeat(desert, crop('lettuce'))!;
    if (spell.from === null) throw new Error('always');
    expect(desert.high[spell.from]!).toBeGreaterThanOrEqual(25);
    expect(desert.high[spell.from - 1]!).toBeLessThan(25);
    expect(desert.high[spell.to]!).toBeGreaterThanOrEqual(25);
    expect(desert.high[spell.to + 1]!).toBeLessThan(25);
    const setting = settingHeat(desert, crop('tomato'))!;
    if (setting.from === null) throw new Error('always');
    const isHot = (seasonDay: number) => desert.high[seasonDay]! >= 35 || desert.low[seasonDay]! >= 24;
    expect([isHot(setting.from), isHot(setting.from - 1), isHot(setting.to), isHot(setting.to + 1)]).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });

  it('is never, or always', () => {
    expect(growingHeat(almanac, crop('tomato'))).toBeNull();
    expect(growingHeat(almanac, crop('carrot'))).toBeNull();
    expect(settingHeat(almanac, crop('carrot'))).toBeNull();
    expect(growingHeat(lowlands, crop('lettuce'))).toMatchObject({ from: null });
    // Nights alone can be too hot.
    const nights = settingHeat(lowlands, crop('tomato'))!;
    expect(Math.max(...lowlands.high)).toBeLessThan(35);
    expect(nights).not.toBeNull();
  });
});
