import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import { laterQuantile } from '../../place/index.ts';
import { defaultRules, type HouseRules } from '../rules.ts';
import { almanac, plan } from '../testing.ts';
import { gatesOf, outdoorDays, windowOf } from '../windows/index.ts';
import { computeMilestones } from './computeMilestones.ts';
import type { Happened, Milestone, MilestoneKind } from './milestone.ts';

/*
 * From seed in a tray to the bed. Weeks are the catalogue's (tomato 6 to 8 weeks indoors and potted on 18 days after it is up, cucumber
 * 3 to 5), hardening takes a week by the usual rule: KNOWLEDGE 3.3 to 3.6.
 */

const year = 2026;
const days = { tomato: [42, 49, 56], cucumber: [21, 25, 35], cabbage: null } as const;
const indoors = (id: string, over: Parameters<typeof plan>[1] = {}) =>
  plan(id, { method: 'startIndoors', ...over });
const stepsOf = (
  id: string,
  over: Parameters<typeof plan>[1] = {},
  rules: HouseRules = defaultRules,
  happened: Happened[] = [],
) => computeMilestones(indoors(id, over), almanac, rules, happened)!;
const of = (steps: Milestone[], kind: MilestoneKind) => steps.find((one) => one.kind === kind)!;

/** When the place lets the plants out, whatever they are like. */
function outdoors(id: string) {
  const asked = indoors(id);
  const { crop, variety, method } = asked;
  const window = windowOf(
    asked,
    outdoorDays(crop, variety.daysToMaturity, method),
    gatesOf(almanac, year),
    defaultRules,
  );
  const at = (seasonDay: number) => almanac.day(year, seasonDay);
  return {
    earliest: at(window.earliest),
    best: at(window.best),
    latest: at(window.latest),
    reasons: window.reasons,
  };
}

describe('sowing indoors', () => {
  it('is counted back from when the place lets the plants out: by the usual weeks, at the last by the fewest', () => {
    const [fewest, usual] = days.tomato;
    const out = outdoors('tomato');
    const { window, reasons } = of(stepsOf('tomato'), 'startIndoors');
    expect(window).toEqual({
      earliest: addDays(out.earliest, -usual),
      best: addDays(out.best, -usual),
      latest: addDays(out.latest, -fewest),
    });
    const weeks = (count: number, from: string) => ({ code: 'weeksIndoors', days: count, from });
    expect(reasons.earliest).toEqual([weeks(usual, out.earliest), ...out.reasons.earliest]);
    expect(reasons.best).toEqual([weeks(usual, out.best), ...out.reasons.best]);
    expect(reasons.latest).toEqual([weeks(fewest, out.latest), ...out.reasons.latest]);
  });

  it('is not of a crop that has no weeks indoors', () => {
    const { crop } = indoors('tomato');
    const never = { ...crop, daysIndoors: null };
    expect(() => computeMilestones(indoors('tomato', { crop: never }), almanac)).toThrow(
      /tomato has no weeks indoors/,
    );
  });
});

describe('setting out', () => {
  it('waits for the place: not before it lets them out, best when it is best there', () => {
    const out = outdoors('tomato');
    const early = of(stepsOf('tomato', { startOn: addDays(out.earliest, -days.tomato[1]) }), 'setOut');
    expect(early.window.earliest).toBe(out.earliest);
    expect(early.reasons.earliest).toEqual(out.reasons.earliest);
    const started = addDays(out.best, -days.tomato[1]);
    const { window, reasons } = of(stepsOf('tomato', { startOn: started }), 'setOut');
    expect(window.best).toBe(out.best);
    const ready = { code: 'readyFrom', days: days.tomato[0], from: started };
    expect(reasons.best).toEqual([...out.reasons.best, ready]);
  });

  it('waits for plants that were started late: ready after the fewest weeks, grown after the usual', () => {
    const out = outdoors('tomato');
    const startOn = addDays(out.best, -20);
    const { window, reasons } = of(stepsOf('tomato', { startOn }), 'setOut');
    expect(window.earliest).toBe(addDays(startOn, days.tomato[0]));
    expect(window.best).toBe(addDays(startOn, days.tomato[1]));
    const ready = { code: 'readyFrom', days: days.tomato[0], from: startOn };
    expect(reasons.earliest).toEqual([ready]);
    expect(reasons.best).toEqual([{ code: 'weeksIndoors', days: days.tomato[1], from: startOn }, ready]);
  });

  it('ends with the limit in the pot, or with the season, whichever is first', () => {
    const out = outdoors('tomato');
    const early = addDays(out.earliest, -50);
    const limited = of(stepsOf('tomato', { startOn: early }), 'setOut');
    expect(limited.window.latest).toBe(laterOf(limited.window.earliest, addDays(early, days.tomato[2])));
    expect(limited.reasons.latest).toEqual([{ code: 'potLimit', days: days.tomato[2], from: early }]);
    const late = addDays(out.latest, -days.tomato[1]);
    const ended = of(stepsOf('tomato', { startOn: late }), 'setOut');
    expect(ended.window.latest).toBe(out.latest);
    expect(ended.reasons.latest).toEqual(out.reasons.latest);
  });

  it('comes before its best day where the pot will not hold them so long, and says so', () => {
    const out = outdoors('tomato');
    const startOn = addDays(out.best, -days.tomato[2] - 3);
    const { window, reasons } = of(stepsOf('tomato', { startOn }), 'setOut');
    expect(window.best).toBe(laterOf(out.earliest, earlierOf(out.best, addDays(startOn, days.tomato[2]))));
    expect(reasons.best.some(({ code }) => code === 'potLimit')).toBe(window.best < out.best);
    expect(window.best < out.best).toBe(true);
  });

  it('is told to have taken too long, by the days in the pot, from one day past the limit on', () => {
    const over = (startOn: string, happened: Happened[] = []) =>
      of(stepsOf('tomato', { startOn }, defaultRules, happened), 'setOut').reasons.best.find(
        ({ code }) => code === 'potOver',
      );
    const out = outdoors('tomato');
    const startOn = addDays(out.earliest, -days.tomato[2]);
    const on = (late: number): Happened[] => [{ kind: 'setOut', on: addDays(out.earliest, late) }];
    expect(over(startOn, on(0))).toBeUndefined();
    expect(over(startOn, on(1))).toEqual({ code: 'potOver', days: 57, most: 56, from: startOn });
  });
});

describe('between', () => {
  it('hardening off leads to setting out by the days of the school', () => {
    for (const [hardening, lead] of [
      ['sevenDays', 7],
      ['twoWeeks', 14],
    ] as const) {
      const steps = stepsOf('tomato', {}, { ...defaultRules, hardening });
      const out = of(steps, 'setOut');
      const { window, reasons } = of(steps, 'hardenOff');
      expect(window).toEqual({
        earliest: addDays(earlierOf(out.window.earliest, out.on), -lead),
        best: addDays(out.on, -lead),
        latest: addDays(laterOf(out.window.latest, out.on), -lead),
      });
      expect(reasons.best).toEqual([{ code: 'hardenFor', days: lead, setOut: out.on }]);
    }
  });

  it('hardening off goes with a setting out that is outside its window', () => {
    const out = of(stepsOf('tomato'), 'setOut').window;
    const at = (on: string) =>
      of(stepsOf('tomato', {}, defaultRules, [{ kind: 'setOut', on }]), 'hardenOff').window;
    const early = addDays(out.earliest, -6);
    expect(at(early)).toMatchObject({ earliest: addDays(early, -7), best: addDays(early, -7) });
    const late = addDays(out.latest, 6);
    expect(at(late)).toMatchObject({ best: addDays(late, -7), latest: addDays(late, -7) });
  });

  it('potting on comes eighteen days after tomatoes are up, and not where hardening off would be upon it', () => {
    const steps = stepsOf('tomato');
    const up = of(steps, 'emerge').on;
    const potOn = of(steps, 'potOn');
    expect(potOn.window).toEqual({
      earliest: addDays(up, 14),
      best: addDays(up, 18),
      latest: addDays(up, 25),
    });
    expect(potOn.reasons.best).toEqual([{ code: 'potOnAfter', days: 18, from: up }]);
    const lastDay = addDays(up, 18 + 7);
    const setOutOn = (on: string, more: Happened[] = []) =>
      of(stepsOf('tomato', {}, defaultRules, [{ kind: 'setOut', on }, ...more]), 'potOn');
    expect(setOutOn(lastDay)).toBeDefined();
    expect(setOutOn(addDays(lastDay, -1))).toBeUndefined();
    // What was done stands.
    expect(setOutOn(addDays(lastDay, -1), [{ kind: 'potOn', on: addDays(up, 16) }])).toMatchObject({
      done: true,
    });
  });

  it('what comes up later than it should is ready so much later', () => {
    const steps = stepsOf('tomato', { startOn: addDays(outdoors('tomato').best, -47) });
    const { window } = of(steps, 'emerge');
    const startOn = of(steps, 'startIndoors').on;
    const best = (late: number) => {
      const happened: Happened[] = [{ kind: 'emerge', on: addDays(window.latest, late) }];
      return of(stepsOf('tomato', { startOn }, defaultRules, happened), 'setOut').window.best;
    };
    expect(best(0)).toBe(of(steps, 'setOut').window.best);
    expect(daysBetween(best(0), best(2))).toBe(2);
  });
});

describe('cucurbits', () => {
  const lastFrost = almanac.day(year, laterQuantile(almanac.lastFreeze(0), 0.5)!);

  it('are sown at the last frost by the usual school, which says so, and for what', () => {
    const { window, reasons } = of(stepsOf('cucumber'), 'startIndoors');
    const out = outdoors('cucumber');
    // Unless five weeks in the pot would pass before the nights are warm.
    expect(window.best).toBe(laterOf(lastFrost, addDays(out.best, -days.cucumber[2])));
    expect(reasons.best[0]).toEqual({ code: 'schoolLastFrost', lastFrost, nights: out.best });
    expect(reasons.best.slice(1)).toEqual(out.reasons.best);
    expect(window.earliest).toBe(earlierOf(addDays(out.earliest, -days.cucumber[1]), window.best));
    expect(window.latest).toBe(laterOf(addDays(out.latest, -days.cucumber[0]), window.best));
  });

  it('are sown a month before, and set out about the last frost, by the school that counts back', () => {
    const rules = { ...defaultRules, cucurbits: 'countBack' } as const;
    const steps = stepsOf('cucumber', {}, rules);
    const soil = almanac.day(year, gatesOf(almanac, year).soilWarm(11).seasonDay);
    const best = laterOf(lastFrost, soil);
    const start = of(steps, 'startIndoors');
    expect(start.window).toEqual({
      earliest: addDays(best, -3 - 35),
      best: addDays(best, -31),
      latest: addDays(laterOf(outdoors('cucumber').latest, best), -21),
    });
    const reason = { code: 'schoolCountBack', days: 31, lastFrost };
    expect(start.reasons).toEqual({
      earliest: [reason],
      best: [reason],
      latest: outdoors('cucumber').reasons.latest,
    });
    expect(of(steps, 'setOut').window.best).toBe(best);
    expect(of(steps, 'setOut').window.earliest).toBe(addDays(best, -3));
  });

  it('of autumn, and what is no cucurbit, are counted back like anything else', () => {
    const rules = { ...defaultRules, cucurbits: 'countBack' } as const;
    expect(stepsOf('tomato', {}, rules)).toEqual(stepsOf('tomato'));
    const autumn = of(stepsOf('zucchini', { cropping: 'autumn' }, rules), 'startIndoors');
    expect(autumn.reasons.best[0]!.code).toBe('weeksIndoors');
  });
});
