import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import { addDays } from '@unity-acre/core/calendar';
import { plainCatalogue } from '@unity-acre/core/crops';
import { almanacOf, climateOfFrosts } from '@unity-acre/core/place';
import { computeMilestones, defaultRules, startOf } from '@unity-acre/core/season';
import { describe, expect, it } from 'vitest';
import { movedBy } from './bandMove.ts';
import { fixedBy } from './hand.ts';

const climate = climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' });
const garden = { climate, offsetC: 0, rules: defaultRules } as Garden;
const bed = (id: string, width: number, length: number, offsetC = 0) =>
  ({ id, form: 'rectangle', x: 0, y: 0, width, length, angle: 0, points: null, offsetC }) as Bed;
const crop = plainCatalogue.crop('pea')!;
const way = { method: 'sowInPlace', cropping: 'spring', year: 2026 } as const;
const steps = computeMilestones(
  { crop, variety: crop.varieties[0]!, ...way, startOn: null },
  almanacOf(climate),
  defaultRules,
)!;
const pea = {
  id: 'p',
  cropId: 'pea',
  varietyId: crop.varieties[0]!.id,
  bedId: 'a',
  ...way,
  width: 1.2,
  length: 6,
  afterId: null,
  steps,
} as unknown as Planting;
const moved = (days: number, to = bed('a', 1.2, 7)) => movedBy(pea, days, to, garden, plainCatalogue)!;

describe('a planting under the hand', () => {
  it('takes its later steps with it, and a colder bed makes them later', () => {
    const later = moved(7);
    expect(later.startOn).toBe(addDays(startOf(steps)!.on, 7));
    const pick = (list: typeof steps) => list.find(({ kind }) => kind === 'firstPick')!.on;
    expect(pick(later.steps) > pick(steps)).toBe(true);
    expect(pick(moved(0, bed('b', 1.2, 7, -3)).steps) > pick(steps)).toBe(true);
  });

  it('is told the bound of its window that it passes, with the reasons', () => {
    expect(moved(0).outside).toBeNull();
    const { latest, earliest } = startOf(steps)!.window;
    const late = moved(90).outside!;
    expect(late).toMatchObject({ bound: 'latest', on: latest });
    expect(late.reasons.length).toBeGreaterThan(0);
    expect(moved(-60).outside).toMatchObject({ bound: 'earliest', on: earliest });
  });

  it('keeps its ground in a narrower bed by lying longer, and says where that is not to be had', () => {
    const narrow = moved(0, bed('b', 0.9, 9));
    expect(narrow.width * narrow.length).toBeCloseTo(7.2, 9);
    expect(narrow.tooSmall).toBe(false);
    expect(moved(0, bed('c', 0.9, 4)).tooSmall).toBe(true);
  });

  it('stays where it is once it is begun, or waits for another', () => {
    expect(fixedBy(pea)).toBeNull();
    expect(fixedBy({ ...pea, afterId: 'other' })).toBe('waits');
    expect(fixedBy({ ...pea, steps: steps.map((step) => ({ ...step, done: true })) })).toBe('begun');
    expect(fixedBy({ ...pea, steps: steps.filter(({ kind }) => kind !== 'sow') })).toBe('standing');
  });
});
