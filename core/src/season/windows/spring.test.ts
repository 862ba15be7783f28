import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { type Almanac, almanacOf, climateOfNormals, YEAR } from '../../place/index.ts';
import { coldContinental, lowDesert, tropical } from '../regions/climates.ts';
import { defaultRules, type HouseRules } from '../rules.ts';
import { almanac } from '../testing.ts';
import { gatesOf } from './gates.ts';
import { grownBy, lastStart } from './grownBy.ts';
import { growingHeat } from './hotSpell.ts';
import type { Asked } from './seasonWindow.ts';
import { springWindow } from './spring.ts';
import { asked, codes } from './testing.ts';

/*
 * What opens a window of spring, when in it is best, and what closes it: KNOWLEDGE 3.1 to 3.3 and 3.10. The gates themselves are held
 * to the almanac beside this.
 */

const desert = almanacOf(climateOfNormals(lowDesert.place, lowDesert.normals));
const lowlands = almanacOf(climateOfNormals(tropical.place, tropical.normals));
/** A summer too short for much. */
const short = almanacOf(almanac.climate, { offsetC: -7 });
const inland = almanacOf(climateOfNormals(coldContinental.place, coldContinental.normals));

const windowOf = (what: Asked, where: Almanac = almanac, rules: HouseRules = defaultRules) =>
  springWindow(what, gatesOf(where, 2026), rules);
const gates = gatesOf(almanac, 2026);

describe('a window of spring opens', () => {
  it('once frost is past for what is set out, nights are warm and roots grow, with the last of these', () => {
    for (const id of ['tomato', 'pepper', 'cucumber', 'cabbage', 'lettuce']) {
      const { crop } = asked(id);
      const isTender = crop.hardiness !== 'hardy';
      const all = [
        gates.frostPast(crop.frostDamageC, defaultRules.frostRisk),
        gates.soilWarm(Math.max(4, Math.min(crop.growth.base, 13))),
        ...(crop.nightsC ? [gates.nightsSteady(crop.nightsC[0], 0.75)] : []),
        ...[gates.growsAgain(crop, isTender ? 0.4 : 0.25)].filter((one) => one !== null),
      ];
      const { earliest, reasons } = windowOf(asked(id, 'startIndoors'));
      expect(earliest, id).toBe(Math.max(...all.map(({ seasonDay }) => seasonDay)));
      expect(
        all.map(({ reason }) => reason),
        id,
      ).toContainEqual(reasons.earliest[0]);
    }
  });

  it('for seed in warm enough soil, a week at the most before frost is past, since it is safe below ground', () => {
    for (const id of ['pea', 'carrot', 'bush-bean', 'sweet-corn', 'spinach']) {
      const { crop } = asked(id);
      const frost = gates.frostPast(crop.frostDamageC, defaultRules.frostRisk).seasonDay;
      const { earliest } = windowOf(asked(id));
      expect(earliest, id).toBeGreaterThanOrEqual(frost - 7);
      expect(earliest, id).toBeGreaterThanOrEqual(gates.soilWarm(crop.germination.least).seasonDay);
    }
    // Seed that is up in three days is exposed in three.
    const { crop } = asked('lettuce');
    const frost = gates.frostPast(crop.frostDamageC, defaultRules.frostRisk).seasonDay;
    expect(windowOf(asked('lettuce')).reasons.earliest[0]).toMatchObject({
      code: 'frostPastWhenUp',
      days: 3,
    });
    expect(windowOf(asked('lettuce')).earliest).toBe(frost - 3);
  });

  it('later where the garden takes less risk', () => {
    const careful = { ...defaultRules, frostRisk: 0.1 };
    for (const id of ['lettuce', 'bush-bean'])
      expect(windowOf(asked(id), almanac, careful).earliest).toBeGreaterThan(windowOf(asked(id)).earliest);
  });

  it('no sooner than the stage it waits for', () => {
    const stage = { seasonDay: 160, reason: { code: 'openSeason' as const } };
    expect(windowOf(asked('bush-bean', 'sowInPlace', { stage })).earliest).toBe(160);
    expect(windowOf(asked('bush-bean', 'sowInPlace', { stage: { ...stage, seasonDay: 10 } }))).toEqual(
      windowOf(asked('bush-bean')),
    );
  });

  it('for seedlings of what stands for years only once light frosts are past', () => {
    const perennials = plainCatalogue.crops.filter(
      (crop) => crop.perennial && crop.methods.includes('startIndoors'),
    );
    expect(perennials.length).toBeGreaterThan(3);
    for (const crop of perennials) {
      const { earliest } = windowOf(asked(crop.id, 'startIndoors'));
      expect(earliest, crop.id).toBeGreaterThanOrEqual(gates.frostPast(-1, defaultRules.frostRisk).seasonDay);
    }
  });
});

describe('the best day', () => {
  it('of what is sown is when the seed is up in time: three weeks for peas, two for beans, or twice its quickest', () => {
    for (const [id, days] of [
      ['pea', 21],
      ['bush-bean', 17],
    ] as const) {
      const { crop } = asked(id);
      const quickest = Math.min(...crop.emergence.map((row) => row.days));
      const quick = gates.soilQuick(crop, Math.max(days, Math.round(2 * quickest)))!;
      expect(windowOf(asked(id)).best, id).toBeGreaterThanOrEqual(quick.seasonDay);
    }
  });

  it('of what is set out is when frost is past at half the risk, and nights are as warm as it likes', () => {
    const { crop } = asked('tomato');
    const { best } = windowOf(asked('tomato', 'startIndoors'));
    const all = [
      gates.frostPast(crop.frostDamageC, defaultRules.frostRisk / 2),
      gates.nightsSteady(crop.nightsC![1], 0.75),
      gates.growsAgain(crop, 0.7)!,
    ];
    expect(best).toBe(Math.max(...all.map(({ seasonDay }) => seasonDay)));
  });

  it('is within the window, and not in its last two weeks for what is hurried by the end of the summer', () => {
    let hurried = 0;
    for (const crop of plainCatalogue.crops)
      for (const method of crop.methods)
        for (const where of [almanac, desert, lowlands, inland, short]) {
          const { earliest, best, latest, reasons } = windowOf(asked(crop.id, method), where);
          const which = `${crop.id} ${method}`;
          expect(earliest <= best && best <= latest, which).toBe(true);
          if (crop.hardiness !== 'chillTender' || reasons.best[0]!.code !== 'mustFinish') continue;
          hurried += 1;
          expect(latest - best, which).toBeGreaterThanOrEqual(14);
        }
    expect(hurried).toBeGreaterThan(0);
  });

  it('is midway where nothing holds a crop back and nothing hurries it', () => {
    const { earliest, best, latest, reasons } = windowOf(asked('sweet-potato', 'setPlants'), lowlands);
    expect(reasons.best).toEqual([{ code: 'openSeason' }]);
    expect(best).toBe(Math.round((Math.max(0, earliest) + latest) / 2));
    expect(latest).toBe(YEAR - 1);
  });
});

describe('a window of spring closes', () => {
  it('with the last start that is ready by the end of the season, for what is tender', () => {
    for (const id of ['bush-bean', 'zucchini', 'sweet-corn']) {
      const what = asked(id);
      const { latest, reasons } = windowOf(what);
      const deadline = grownBy(what.crop, gates, defaultRules)!;
      expect(latest, id).toBe(lastStart(what, gates, deadline.seasonDay));
      expect(reasons.latest[0]!.code, id).toBe('mustFinish');
    }
  });

  it('so that a cool crop is ready two weeks into the heat at the latest', () => {
    for (const id of ['pea', 'lettuce', 'spinach']) {
      const what = asked(id);
      const heat = growingHeat(almanac, what.crop)!;
      const { latest, reasons } = windowOf(what);
      expect(latest, id).toBe(lastStart(what, gates, heat.from! + 14));
      expect(reasons.latest[0], id).toMatchObject({ code: 'heatComes', highC: what.crop.heatEndsC });
    }
  });

  it('the day before the soil is too hot for the seed', () => {
    let closed = 0;
    for (const { id, methods, germination } of plainCatalogue.crops) {
      if (!methods.includes('sowInPlace')) continue;
      const { earliest, best, latest, reasons } = windowOf(asked(id), desert);
      if (reasons.latest[0]!.code !== 'soilTooHot') continue;
      closed += 1;
      const hot = gatesOf(desert, 2026).soilTooHot(germination.most, earliest)!;
      expect(latest, id).toBe(Math.max(best, hot.seasonDay - 1));
    }
    expect(closed).toBeGreaterThan(0);
  });

  it('six weeks before the first frost for what stands for years and need only root', () => {
    const { latest, reasons } = windowOf(asked('asparagus', 'setPlants'));
    expect(reasons.latest[0]!.code).toBe('winterComes');
    const frost = almanac.day(2026, latest + 42);
    expect(frost > '2026-09-25' && frost < '2026-10-12').toBe(true);
  });

  it('two weeks into the bulbing of onions: 14, 13 and 11½ hours of daylight', () => {
    const { crop } = asked('onion');
    const hours = { longDay: 14, intermediateDay: 13, shortDay: 11.5 } as const;
    let bulbing = 0;
    for (const variety of crop.varieties) {
      const kind = (['longDay', 'intermediateDay', 'shortDay'] as const).find((one) =>
        variety.traits?.includes(one),
      );
      if (!kind) continue;
      const { latest, best, reasons } = windowOf(asked('onion', 'setPlants', { variety }));
      const from = almanac.light.findIndex((light) => light >= hours[kind]);
      const told = reasons.latest.find(({ code }) => code === 'bulbsInLongDays');
      if (!told) continue;
      bulbing += 1;
      expect(told, kind).toEqual({
        code: 'bulbsInLongDays',
        hours: hours[kind],
        on: almanac.day(2026, from),
      });
      expect(latest, kind).toBe(Math.max(best, from + 14));
    }
    expect(bulbing).toBeGreaterThan(0);
  });

  it('as it opens where a short season leaves no time, and says that it may not finish', () => {
    const { best, latest, reasons } = windowOf(asked('winter-squash'), short);
    expect(latest).toBe(best);
    expect(codes(reasons.latest)).toContain('mayNotFinish');
  });
});

describe('where a climate has no spring for a crop', () => {
  it('that is too hot all year, it is picked on the coolest days, which is told and not advised', () => {
    const { earliest, best, latest, reasons } = windowOf(asked('spinach'), lowlands);
    expect([best - earliest, latest - best]).toEqual([21, 21]);
    expect(reasons.best[0]).toEqual({ code: 'tooHot', highC: asked('spinach').crop.heatEndsC });
    expect(best).toBeGreaterThanOrEqual(0);
    expect(best).toBeLessThan(YEAR);
  });

  it('that leaves a mild winter, it is sown in the weeks before, and spring is not its own season', () => {
    const before = plainCatalogue.crops.filter(
      ({ id, methods }) =>
        methods.includes('sowInPlace') &&
        codes(windowOf(asked(id), desert).reasons.latest).includes('notOwnSeason'),
    );
    expect(before.length).toBeGreaterThan(0);
    for (const { id, hardiness } of before) {
      const { earliest, best, latest } = windowOf(asked(id), desert);
      expect([latest - best, best - earliest], id).toEqual([21, 21]);
      expect(hardiness, id).toBe('hardy');
    }
  });
});
