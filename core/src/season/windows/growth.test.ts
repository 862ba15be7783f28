import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { almanacOf, climateOfNormals, earlierQuantile, YEAR } from '../../place/index.ts';
import { defaultRules } from '../rules.ts';
import { almanac } from '../testing.ts';
import { killsAt } from './frost.ts';
import { gatesOf } from './gates.ts';
import { grownBy, lastStart } from './grownBy.ts';
import { growthOf, outdoorDays, quotedDays } from './growth.ts';

const crop = (id: string) => plainCatalogue.crop(id)!;
const even = (value: number) => new Array<number>(12).fill(value);
/** A place at the equator whose every day is alike. */
const alwaysAt = (meanC: number) =>
  almanacOf(
    climateOfNormals(
      { latitude: 0, longitude: 0, lastFrost: null, firstFrost: null },
      { low: even(meanC - 4), high: even(meanC + 4), rain: even(50) },
    ),
  );

describe('days from the ground to the first pick', () => {
  const span = { fewest: 50, usual: 55, most: 60 };

  it('are as quoted for what is counted from there', () => {
    expect(outdoorDays(crop('carrot'), span, 'sowInPlace')).toEqual({ ...span, added: 0 });
    expect(outdoorDays(crop('tomato'), span, 'startIndoors')).toEqual({ ...span, added: 0 });
  });

  it('are more where what is counted from setting out is sown in place, less what moving it would cost', () => {
    // Zucchini: three weeks in the pot at the least, ten days for the move.
    expect(outdoorDays(crop('zucchini'), span, 'sowInPlace')).toEqual({
      fewest: 61,
      usual: 66,
      most: 71,
      added: 11,
    });
  });

  it('are fewer where what is counted from sowing goes out as a plant, but for the move', () => {
    // Lettuce: four weeks in the pot, ten days for the move.
    expect(outdoorDays(crop('lettuce'), span, 'startIndoors')).toEqual({
      fewest: 32,
      usual: 37,
      most: 42,
      added: -18,
    });
    expect(outdoorDays(crop('lettuce'), span, 'setPlants').added).toBe(-18);
    // Potatoes have all their growing before them, as seed has.
    expect(outdoorDays(crop('potato'), span, 'setPlants').added).toBe(0);
    expect(outdoorDays(crop('lettuce'), { fewest: 5, usual: 10, most: 15 }, 'startIndoors').fewest).toBe(1);
  });

  it('are quoted in the middle of their span', () => {
    const carrot = crop('carrot');
    const variety = carrot.varieties[0]!;
    expect(quotedDays({ crop: carrot, variety, method: 'sowInPlace' })).toBe(variety.daysToMaturity.usual);
  });
});

describe('growth', () => {
  const tomato = crop('tomato');

  it('takes as many days as quoted at the usual warmth, whenever it begins', () => {
    const growth = growthOf(alwaysAt(tomato.growth.usual), tomato);
    for (const seasonDay of [-400, -1, 0, 100.4, YEAR, 2 * YEAR + 30])
      for (const days of [10, 60, 120])
        expect(Math.abs(growth.daysFrom(seasonDay, days) - days)).toBeLessThanOrEqual(2);
  });

  it('takes longer in the cool, less in the warm, and never half of what is quoted', () => {
    const days = [13, 16, 19, 23, 27, 35].map((meanC) => growthOf(alwaysAt(meanC), tomato).daysFrom(50, 80));
    for (const [i, fewer] of days.slice(1).entries()) expect(fewer).toBeLessThanOrEqual(days[i]!);
    expect(days[0]!).toBeGreaterThan(120);
    expect(days.at(-1)!).toBeGreaterThan(40);
  });

  it('never comes to an end where it is too cold: a year and a half is told', () => {
    expect(growthOf(alwaysAt(-20), tomato).daysFrom(10, 80)).toBe(Math.round(1.5 * YEAR));
  });

  it('is made once for a crop at a spot', () => {
    expect(growthOf(almanac, tomato)).toBe(growthOf(almanac, tomato));
    expect(growthOf(almanac, tomato)).not.toBe(growthOf(almanac, crop('pepper')));
  });
});

describe('by when a crop has to be ready', () => {
  const gates = gatesOf(almanac, 2026);
  const frost = (atC: number) => Math.round(earlierQuantile(almanac.firstFreeze(atC), 0.5)!);

  it.each([
    // At least ten days of picking before the frost, at most three weeks.
    ['sweet-corn', 10],
    ['bush-bean', 14],
    ['tomato', 21],
  ])('%s: %i days before the median frost, or before cold stops it', (id, picking) => {
    const deadline = grownBy(crop(id), gates, defaultRules)!;
    const limit = Math.min(frost(killsAt(crop(id))), gates.growthStops(crop(id), 0.4)!);
    expect(deadline.seasonDay).toBe(limit - picking);
    expect(deadline.reason(60)).toEqual({
      code: 'mustFinish',
      limit: almanac.day(2026, limit),
      maturity: 60,
      picking,
    });
  });

  it('for what is hardy: a week before the frost that damages it or when growth stops, less the allowance for short days', () => {
    for (const shortDays of [7, 14, 21]) {
      const rules = { ...defaultRules, shortDays };
      const chard = grownBy(crop('chard'), gates, rules)!;
      expect(chard.seasonDay).toBe(frost(-4) - 7 - shortDays);
      expect(chard.reason(50)).toEqual({
        code: 'grownBeforeFrost',
        by: almanac.day(2026, frost(-4) - 7),
        atC: -4,
        maturity: 50,
        shortDays,
      });
      const kale = grownBy(crop('kale'), gates, rules)!;
      const stops = gates.growthStops(crop('kale'), 0.25)!;
      expect(stops).toBeLessThan(frost(-9) - 7);
      expect(kale.seasonDay).toBe(stops - shortDays);
      expect(kale.reason(50)).toEqual({
        code: 'grownBeforeDark',
        by: almanac.day(2026, stops),
        maturity: 50,
        shortDays,
      });
    }
  });

  it('is never, where neither frost nor dark sets an end', () => {
    const warm = gatesOf(alwaysAt(22), 2026);
    for (const id of ['tomato', 'lettuce']) expect(grownBy(crop(id), warm, defaultRules)).toBeNull();
  });

  it('is told for what cold stops though no frost comes', () => {
    const mild = {
      low: [4, 5, 6, 8, 10, 12, 13, 13, 12, 10, 7, 5],
      high: [9, 10, 12, 15, 18, 20, 22, 22, 19, 15, 12, 9],
    };
    const place = { latitude: 50, longitude: 0, lastFrost: null, firstFrost: null };
    const cool = almanacOf(climateOfNormals(place, { ...mild, rain: even(50) }));
    const deadline = grownBy(crop('bush-bean'), gatesOf(cool, 2026), defaultRules)!;
    const stops = gatesOf(cool, 2026).growthStops(crop('bush-bean'), 0.4)!;
    expect(deadline.seasonDay).toBe(stops - 14);
  });
});

describe('the last start', () => {
  it('is the last from which the first pick comes by a day', () => {
    const gates = gatesOf(almanac, 2026);
    for (const [id, method] of [
      ['lettuce', 'sowInPlace'],
      ['bush-bean', 'sowInPlace'],
      ['cabbage', 'startIndoors'],
    ] as const) {
      const of = crop(id);
      const variety = of.varieties[0]!;
      const maturity = outdoorDays(of, variety.daysToMaturity, method);
      const asked = { crop: of, variety, method, maturity, stage: null };
      const grown = (seasonDay: number) => {
        const up = method === 'sowInPlace' ? gates.daysToUp(of, seasonDay, 0) : 0;
        return (
          seasonDay +
          Math.max(
            growthOf(almanac, of).daysFrom(seasonDay, maturity.usual),
            up + Math.round(maturity.usual / 2),
          )
        );
      };
      for (const limit of [180, 240, 280]) {
        const last = lastStart(asked, gates, limit);
        expect(grown(last), `${id} ${limit}`).toBeLessThanOrEqual(limit);
        expect(grown(last + 1), `${id} ${limit}`).toBeGreaterThan(limit);
      }
    }
  });
});
