import { describe, expect, it } from 'vitest';
import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import {
  type Crop,
  type Cropping,
  croppings,
  type Method,
  methods,
  plainCatalogue,
  type Variety,
} from '../../crops/index.ts';
import { type Almanac, almanacOf, climateOfFrosts, climateOfNormals, hasFrosts } from '../../place/index.ts';
import { computeMilestones } from '../milestones/computeMilestones.ts';
import type { Milestone, MilestoneKind } from '../milestones/milestone.ts';
import { stillSown } from '../planning/stillSow.ts';
import { defaultRules } from '../rules.ts';
import { doubtsOf } from '../windows/index.ts';
import * as calendars from './calendars.ts';
import * as climates from './climates.ts';

/** Days by which a regional calendar may be missed. */
const GIVE = 14;
const YEARS = [2025, 2026, 2027];

const regions = [
  { ...climates.coldContinental, calendar: calendars.coldContinentalCalendar },
  { ...climates.humidSubtropical, calendar: calendars.humidSubtropicalCalendar },
  { ...climates.marine, calendar: calendars.marineCalendar },
  { ...climates.lowDesert, calendar: calendars.lowDesertCalendar },
  { ...climates.highland, calendar: calendars.highlandCalendar },
  { ...climates.mediterraneanSouth, calendar: calendars.mediterraneanSouthCalendar },
  { ...climates.coolOceanic, calendar: calendars.coolOceanicCalendar },
  { ...climates.tropical, calendar: calendars.tropicalCalendar },
];

interface Expectation {
  line: string;
  cropId: string;
  cropping: Cropping | null;
  how: string;
  what: string;
  from: string;
  to: string;
  isException: boolean;
}

function read(line: string): Expectation {
  const [said = '', reason] = line.split(' # ');
  const words = said.split(' ');
  const cropId = words.shift()!;
  const cropping = croppings.find((one) => one === words[0]) ?? null;
  if (cropping) words.shift();
  const [how = '', what = '', from = '01-01', to = '12-31'] = words;
  return { line: said, cropId, cropping, how, what, from, to, isException: reason !== undefined };
}

const expectationsOf = (calendar: string): Expectation[] => calendar.trim().split('\n').map(read);

/** One variety of a crop, grown in one way in one season. */
interface Way {
  steps: Milestone[];
  window: Milestone['window'];
  isAdvised: boolean;
}

function methodOf(crop: Crop, how: string): Method {
  if (how === 'sow') return 'sowInPlace';
  return crop.methods.includes('setPlants') ? 'setPlants' : 'startIndoors';
}

/** The steps of a planting; of what stands for years before it is picked, those of a later year with those of its first. */
function stepsOf(
  crop: Crop,
  variety: Variety,
  method: Method,
  cropping: Cropping,
  year: number,
  almanac: Almanac,
) {
  const plan = { crop, variety, method, cropping, year, startOn: null };
  const first = computeMilestones(plan, almanac);
  const wait = crop.perennial?.yearsToCrop;
  if (!first || !wait) return first;
  const inGround = first.filter(({ kind }) => kind !== 'firstPick' && kind !== 'lastPick');
  return [...inGround, ...computeMilestones(plan, almanac, defaultRules, [], year + wait + 1)!];
}

function waysOf({ cropId, cropping, how }: Expectation, almanac: Almanac): Way[] {
  const crop = plainCatalogue.crop(cropId);
  if (!crop) throw new Error(`no crop ${cropId}`);
  const method = methodOf(crop, how);
  const kind: MilestoneKind = method === 'sowInPlace' ? 'sow' : 'setOut';
  return YEARS.flatMap((year) =>
    crop.croppings
      .filter((one) => cropping === null || one === cropping)
      .flatMap((one) =>
        crop.varieties.flatMap((variety) => {
          const steps = stepsOf(crop, variety, method, one, year, almanac);
          const step = steps?.find((each) => each.kind === kind);
          return steps && step
            ? [{ steps, window: step.window, isAdvised: doubtsOf(steps).length === 0 }]
            : [];
        }),
      ),
  );
}

/** A span of the year as days, in each of some years. */
const spansOf = ({ from, to }: Expectation): [Day, Day][] =>
  [2024, 2025, 2026, 2027, 2028].map((year) => [`${year}-${from}`, `${to < from ? year + 1 : year}-${to}`]);

const dayOf: Record<string, (way: Way) => Day | undefined> = {
  best: ({ window }) => window.best,
  last: ({ window }) => window.latest,
  pick: ({ steps }) => steps.find(({ kind }) => kind === 'firstPick')?.on,
  ends: ({ steps }) => steps.find(({ kind }) => kind === 'lastPick')?.on,
};

function holds(expectation: Expectation, ways: readonly Way[]): boolean {
  const { what } = expectation;
  const isNear = (day: Day | undefined) =>
    day !== undefined &&
    spansOf(expectation).some(([from, to]) => addDays(from, -GIVE) <= day && day <= addDays(to, GIVE));
  const isOpen = (day: Day) =>
    ways.some(({ isAdvised, window }) => isAdvised && window.earliest <= day && day <= window.latest);
  switch (what) {
    case 'best':
    case 'pick':
    case 'ends':
      return ways.some((way) => isNear(dayOf[what]!(way)));
    case 'last': {
      const days = ways.filter(({ window }) => window.best.startsWith('2026')).map(dayOf[what]!);
      return isNear(days.sort().at(-1));
    }
    case 'open':
    case 'shut': {
      const [from, to] = spansOf(expectation)[2]!;
      for (let day = addDays(from, GIVE); day <= addDays(to, -GIVE); day = addDays(day, 1))
        if (isOpen(day) !== (what === 'open')) return false;
      return true;
    }
    case 'never':
      return ways.every(({ isAdvised }) => !isAdvised);
    default:
      throw new Error(`what is ${what}?`);
  }
}

describe.each(regions)('in the climate of $name', ({ place, normals, calendar }) => {
  const almanac = almanacOf(climateOfNormals(place, normals));
  const expectations = expectationsOf(calendar);

  it('dates crops as the calendars of the region do', () => {
    expect(expectations.length).toBeGreaterThanOrEqual(25);
    const missed = expectations.filter((one) => !one.isException && !holds(one, waysOf(one, almanac)));
    expect(missed.map(({ line }) => line)).toEqual([]);
  });

  it('differs where a calendar goes by something else, and nowhere without need', () => {
    const kept = expectations.filter((one) => one.isException && holds(one, waysOf(one, almanac)));
    expect(kept.map(({ line }) => line)).toEqual([]);
  });
});

it('holds to at least 95 of 100 lines of the calendars, exceptions counted as missed', () => {
  const all = regions.flatMap(({ calendar }) => expectationsOf(calendar));
  expect(all.filter(({ isException }) => isException).length / all.length).toBeLessThan(0.05);
});

it('dates as the calendars do from frost dates alone, or says that it is not known', () => {
  const known = regions.flatMap(({ name, place, calendar }) => {
    if (!hasFrosts(place)) return [];
    const almanac = almanacOf(climateOfFrosts(place));
    return expectationsOf(calendar).map((one) => {
      const ways = waysOf(one, almanac);
      const isRefused = ways.every(({ isAdvised }) => !isAdvised);
      return { line: `${name}: ${one.line}`, fits: isRefused || holds(one, ways) };
    });
  });
  const missed = known.filter(({ fits }) => !fits);
  if (process.env.SHOW) console.log(missed.map(({ line }) => line).join('\n'), missed.length, known.length);
  expect(missed.length / known.length).toBeLessThanOrEqual(0.15);
});

/** Every way of growing every variety of the catalogue at a place. */
const everyWay = (almanac: Almanac) =>
  plainCatalogue.crops.flatMap((crop) =>
    crop.varieties.flatMap((variety) =>
      methods.flatMap((method) =>
        crop.croppings.flatMap((cropping) => {
          const plan = { crop, variety, method, cropping, year: 2026, startOn: null };
          const steps = computeMilestones(plan, almanac);
          const kind: MilestoneKind = method === 'sowInPlace' ? 'sow' : 'setOut';
          const step = steps?.find((one) => one.kind === kind);
          return steps && step
            ? [
                {
                  label: `${crop.id} ${variety.id} ${method} ${cropping}`,
                  plan,
                  crop,
                  cropping,
                  method,
                  steps,
                  step,
                },
              ]
            : [];
        }),
      ),
    ),
  );

describe.each(regions)('every crop in the climate of $name', ({ place, normals }) => {
  const almanac = almanacOf(climateOfNormals(place, normals));
  const ways = everyWay(almanac);

  it('has its windows in order', () => {
    const wrong = ways.filter(
      ({ step: { window } }) => window.earliest > window.best || window.best > window.latest,
    );
    expect(wrong.map(({ label }) => label)).toEqual([]);
  });

  it('finishes by its own forecast when it is planted on the last day of its window', () => {
    const wrong = ways.filter(({ crop, plan, cropping, method, steps, step }) => {
      if (
        crop.perennial ||
        crop.harvest.style === 'cover' ||
        cropping === 'overwinter' ||
        method === 'startIndoors'
      )
        return false;
      if (doubtsOf(steps).length > 0) return false;
      const late = computeMilestones({ ...plan, startOn: step.window.latest }, almanac)!;
      const [first, last] = (['firstPick', 'lastPick'] as const).map(
        (kind) => late.find((one) => one.kind === kind)!,
      );
      const limit = first!.reasons.best.find(({ code }) => code === 'mayNotFinish');
      const [closed] = step.reasons.latest;
      const by = closed?.code === 'grownBeforeFrost' || closed?.code === 'grownBeforeDark' ? closed.by : null;
      return (
        limit !== undefined ||
        first!.on > last!.on ||
        (by !== null && !crop.sweetenedByFrost && first!.on > by)
      );
    });
    expect(wrong.map(({ label }) => label)).toEqual([]);
  });

  it('is picked in no less than half of its quoted days', () => {
    const wrong = ways.filter(({ crop, plan, steps, cropping }) => {
      const pick = steps.find(({ kind }) => kind === 'firstPick');
      if (!pick || crop.perennial || cropping === 'overwinter') return false;
      const from = steps.find(({ kind }) =>
        crop.maturityFrom === 'sowing'
          ? kind === 'startIndoors' || kind === 'sow' || kind === 'setOut'
          : kind === 'sow' || kind === 'setOut',
      )!;
      const quoted = plan.variety.daysToMaturity.fewest;
      const isGrown =
        crop.maturityFrom === 'sowing' && from.kind === 'setOut' ? (crop.daysIndoors?.usual ?? 0) : 0;
      return daysBetween(from.on, pick.on) + isGrown < quoted / 2;
    });
    expect(wrong.map(({ label }) => label)).toEqual([]);
  });

  it('is not best on the first day of a season for want of anything that holds it back', () => {
    const wrong = ways.filter(
      ({ step: { window } }) => almanac.seasonDayOf(almanac.seasonYear(window.best), window.best) === 0,
    );
    expect(wrong.map(({ label }) => label)).toEqual([]);
  });

  it('has one last day, where no heat parts spring from autumn', () => {
    const wrong = ways.filter(({ crop, plan, cropping, method, steps, step }) => {
      if (cropping !== 'spring' || method === 'startIndoors' || doubtsOf(steps).length > 0) return false;
      const ends = ['mustFinish', 'grownBeforeFrost', 'grownBeforeDark'];
      if (!ends.includes(step.reasons.latest[0]!.code) || !crop.croppings.includes('autumn')) return false;
      const autumn = computeMilestones({ ...plan, cropping: 'autumn' }, almanac);
      const other = autumn?.find(({ kind }) => kind === step.kind);
      return other !== undefined && other.window.latest !== step.window.latest;
    });
    expect(wrong.map(({ label }) => label)).toEqual([]);
  });
});

describe('what can still be sown', () => {
  const in_ = ({ place, normals }: (typeof regions)[number]) => almanacOf(climateOfNormals(place, normals));
  const ids = (almanac: Almanac, on: Day) =>
    new Set(stillSown(plainCatalogue.crops, almanac, defaultRules, on).map(({ crop }) => crop.id));
  const [cold, , , desert, , south] = regions.map(in_);

  it('is full in the main season of a low desert, and has nothing of the cool season in its summer', () => {
    const autumn = ids(desert!, '2026-11-05');
    for (const id of ['lettuce', 'carrot', 'beet', 'spinach', 'radish', 'pea', 'garlic', 'broccoli'])
      expect(autumn.has(id), id).toBe(true);
    const summer = ids(desert!, '2026-07-01');
    for (const id of ['lettuce', 'carrot', 'onion', 'spinach', 'pea', 'potato'])
      expect(summer.has(id), id).toBe(false);
  });

  it('sees across midwinter, north and south', () => {
    const [last, first] = [ids(desert!, '2026-12-31'), ids(desert!, '2027-01-01')];
    expect(last.size).toBeGreaterThan(8);
    expect([...last].filter((id) => !first.has(id)).length).toBeLessThanOrEqual(2);
    const [june, july] = [ids(south!, '2026-06-30'), ids(south!, '2026-07-01')];
    expect(june.size).toBeGreaterThan(5);
    expect([...june].filter((id) => !july.has(id)).length).toBeLessThanOrEqual(2);
    // Onions are started indoors in the winter before their spring.
    expect(ids(cold!, '2026-12-31').has('leek')).toBe(ids(cold!, '2027-01-01').has('leek'));
  });

  it('promises no crop that wants warmth where only two frost dates are known', () => {
    const almanac = almanacOf(
      climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' }),
    );
    const june = ids(almanac, '2026-06-10');
    for (const id of ['okra', 'watermelon', 'melon', 'pepper', 'eggplant', 'sweet-potato'])
      expect(june.has(id), id).toBe(false);
    for (const id of ['bush-bean', 'carrot', 'kale']) expect(june.has(id), id).toBe(true);
  });
});
