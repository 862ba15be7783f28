import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { uprightRectangle } from '../../ground/index.ts';
import { almanacOf, climateOfFrosts } from '../../place/index.ts';
import {
  computeMilestones,
  cornBeansSquash,
  type SequencePlace,
  sequencePlaces,
  stageOf,
  startOf,
} from '../milestones/index.ts';
import type { PlannedPlanting } from '../planning/yearPlan.ts';
import { defaultRules } from '../rules.ts';
import { almanac, northern } from '../testing.ts';
import { consistency, findingKey, remediesFor } from './index.ts';
import { bed, codes, FOOT, first, plan, planting } from './testing.ts';

describe('a season that goes together', () => {
  it('has nothing said of it', () => {
    expect(codes(plan([planting('a', 'lettuce'), planting('b', 'carrot')]))).toEqual([]);
  });
});

describe('room', () => {
  it('is overfull where more stands than there is ground, and a later start, less or another bed helps', () => {
    const crowded = [
      planting('a', 'carrot', { length: 20 * FOOT }),
      planting('a', 'lettuce', { length: 20 * FOOT }),
    ];
    const of = plan(crowded);
    const finding = first(of, 'overfull');
    expect(finding).toMatchObject({ bedId: 'a' });
    const remedies = remediesFor(of, finding);
    expect(remedies.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['length', 'moveBed']));
    const shorter = remedies.find((one) => one.kind === 'length')!;
    const mended = crowded.map((one) =>
      one.id === shorter.plantingId ? { ...one, length: shorter.length } : one,
    );
    expect(codes(plan(mended))).not.toContain('overfull');
    const moved = remedies.find((one) => one.kind === 'moveBed')!;
    expect(
      codes(plan(crowded.map((one) => (one.id === moved.plantingId ? { ...one, bedId: moved.bedId } : one)))),
    ).toEqual([]);
  });

  it('is not taken by what grows between the rows of another', () => {
    const carrot = planting('a', 'carrot', { length: 24 * FOOT });
    const lettuce = planting('a', 'lettuce', { length: 24 * FOOT, betweenId: carrot.id });
    expect(codes(plan([carrot, { ...lettuce, betweenId: null }]))).toContain('overfull');
    expect(codes(plan([carrot, lettuce])).filter((code) => code === 'overfull')).toEqual([]);
  });
});

describe('rotation', () => {
  it('looks back four years, by family, and offers a bed that is free of it', () => {
    const tomato = planting('a', 'tomato');
    const stood = (year: number) =>
      plan([tomato], { before: [{ bedId: 'a', year, crop: plainCatalogue.crop('pepper')! }] });
    for (const year of [2023, 2024, 2025]) {
      expect(first(stood(year), 'rotation')).toMatchObject({
        family: 'nightshades',
        last: year,
        again: year + 4,
      });
    }
    expect(codes(stood(2022))).not.toContain('rotation');
    expect(remediesFor(stood(2024), first(stood(2024), 'rotation'))[0]).toMatchObject({
      kind: 'moveBed',
      plantingId: tomato.id,
    });
  });

  it('says where heavy feeders follow heavy feeders, unless something fed the soil between', () => {
    const cabbage = planting('a', 'cabbage');
    const grown = (ids: string[]) =>
      ids.map((id) => ({ bedId: 'a', year: 2025, crop: plainCatalogue.crop(id)! }));
    expect(codes(plan([cabbage], { before: grown(['tomato']) }))).toContain('heavyAfterHeavy');
    expect(codes(plan([cabbage], { before: grown(['tomato', 'pea']) }))).not.toContain('heavyAfterHeavy');
  });
});

describe('neighbours', () => {
  it('apart are said by how sure that is, and only while they stand together', () => {
    const onion = planting('a', 'onion', { method: 'setPlants' });
    const pea = planting('a', 'pea');
    expect(first(plan([onion, pea]), 'apart')).toMatchObject({ why: 'stunting', evidence: 'tested' });
    expect(codes(plan([onion, { ...pea, bedId: 'b' }]))).not.toContain('apart');
    const cabbage = planting('b', 'cabbage');
    const radish = planting('b', 'radish', { startOn: '2026-05-20' });
    expect(codes(plan([cabbage, radish]))).not.toContain('apart');
    expect(codes(plan([cabbage, radish], { evidence: ['tested', 'traditional'] }))).toContain('apart');
  });
});

describe('ground and sun', () => {
  it('too shallow or too dark is said with what is needed', () => {
    const shallow = plan([planting('a', 'carrot')], { beds: [bed('a', 0, { soilDepth: 0.1 }), bed('b', 6)] });
    expect(first(shallow, 'soilDepth')).toMatchObject({ there: 0.1 });
    expect(remediesFor(shallow, first(shallow, 'soilDepth'))).toEqual([
      expect.objectContaining({ kind: 'moveBed', bedId: 'b' }),
    ]);
    const dark = plan([planting('a', 'tomato')], { beds: [bed('a', 0, { sunHours: 4 })] });
    expect(first(dark, 'sun')).toMatchObject({ needed: 6, there: 4 });
    expect(codes(plan([planting('a', 'lettuce')], { beds: [bed('a', 0, { sunHours: 4 })] }))).toEqual([]);
  });

  it('tall crops belong on the side away from the noon sun, which is another one in the south', () => {
    const rows = [
      bed('a', 0, { ...uprightRectangle({ x: 0, y: 0, width: 24 * FOOT, length: 3 * FOOT }) }),
      bed('b', 0, { ...uprightRectangle({ x: 0, y: 4 * FOOT, width: 24 * FOOT, length: 3 * FOOT }) }),
    ];
    const tallSouth = [
      planting('a', 'sweet-corn', { width: 3 * FOOT, length: 24 * FOOT }),
      planting('b', 'pepper', { width: 3 * FOOT, length: 24 * FOOT }),
    ];
    const swapped = tallSouth.map((one) => ({ ...one, bedId: one.bedId === 'a' ? 'b' : 'a' }));
    const beds = { beds: rows };
    expect(codes(plan(tallSouth, beds))).toContain('shadesLower');
    expect(codes(plan(swapped, beds))).not.toContain('shadesLower');
    expect(codes(plan(swapped, { ...beds, latitude: -44.5 }))).toContain('shadesLower');
    expect(codes(plan(tallSouth, { ...beds, north: 180 }))).not.toContain('shadesLower');
  });
});

describe('the course of the season', () => {
  it('wants supports up before the seed', () => {
    const pea = planting('a', 'pea');
    const sow = pea.steps.find(({ kind }) => kind === 'sow')!.on;
    expect(codes(plan([pea], { today: '2026-02-01' }))).not.toContain('supportLate');
    expect(first(plan([pea], { today: sow }), 'supportLate')).toMatchObject({ by: sow });
    const up = {
      ...pea,
      steps: pea.steps.map((step) => (step.kind === 'support' ? { ...step, done: true } : step)),
    };
    expect(codes(plan([up], { today: sow }))).not.toContain('supportLate');
  });

  it('wants corn in a block and its kinds two weeks apart', () => {
    const row = planting('a', 'sweet-corn');
    const of = plan([row]);
    expect(first(of, 'pollinationBlock')).toMatchObject({ needed: 4 });
    expect(remediesFor(of, first(of, 'pollinationBlock'))).toEqual([{ kind: 'square', plantingId: row.id }]);
    const block = planting('a', 'sweet-corn', { pattern: 'square' });
    expect(codes(plan([block]))).not.toContain('pollinationBlock');
    const pop = planting('c', 'popcorn', { pattern: 'square' });
    const pick = (one: PlannedPlanting) => one.steps.find(({ kind }) => kind === 'firstPick')!.on;
    const picked = (other: PlannedPlanting, days: number) => ({
      ...other,
      steps: other.steps.map((step) =>
        step.kind === 'firstPick' ? { ...step, on: addDays(pick(block), days) } : step,
      ),
    });
    // Popcorn dries on the stalk: picked a month after the sweet corn, both have tasselled together.
    expect(first(plan([block, picked(pop, 31)]), 'kindsCross')).toMatchObject({ days: 0, needed: 14 });
    expect(first(plan([block, picked(pop, 18)]), 'kindsCross')).toMatchObject({ days: 13 });
    for (const days of [0, 17, 45])
      expect(codes(plan([block, picked(pop, days)]))).not.toContain('kindsCross');
    const flour = planting('c', 'flour-corn', { pattern: 'square' });
    expect(first(plan([picked(flour, 31), picked(pop, 31)]), 'kindsCross')).toMatchObject({ days: 0 });
    // Sown on one day side by side, sweet corn and popcorn spoil each other. Common practice, no source.
    const sown = block.steps.find(({ kind }) => kind === 'sow')!.on;
    const beside = planting('c', 'popcorn', { pattern: 'square', startOn: sown });
    expect(codes(plan([block, beside]))).toContain('kindsCross');
  });

  it('says when one crop is ripe at once, and a later sowing spreads it', () => {
    const heads = [planting('a', 'cabbage'), planting('b', 'cabbage')].map((one) => ({
      ...one,
      crop: { ...one.crop, pastFirstFrostDays: undefined } as never,
    }));
    const of = plan(heads);
    const finding = first(of, 'ripeTogether');
    expect(finding.plantingIds.length).toBe(2);
    const [remedy] = remediesFor(of, finding);
    if (remedy) expect(remedy).toMatchObject({ kind: 'startOn' });
  });

  it('counts kinds in a first year, and tender crops in several places', () => {
    const nine = ['lettuce', 'carrot', 'beet', 'pea', 'radish', 'spinach', 'kale', 'onion', 'chard'];
    const of = plan(
      nine.map((id) => planting('a', id, { length: 2 * FOOT })),
      { before: [] },
    );
    expect(first(of, 'manyKinds')).toMatchObject({ kinds: 9, most: 8 });
    expect(codes(plan(nine.map((id) => planting('a', id, { length: 2 * FOOT }))))).not.toContain('manyKinds');
    const apart = { beds: [bed('a', 0), bed('b', 60)] };
    const tender = [planting('a', 'tomato'), planting('b', 'cucumber', { method: 'sowInPlace' })];
    expect(first(plan(tender, apart), 'tenderScattered')).toMatchObject({ places: 2 });
    expect(codes(plan(tender))).not.toContain('tenderScattered');
  });

  it('keeps a cover crop out of the way of next year’s first crop, with one that winter kills', () => {
    const hardy = plainCatalogue.crops.find(
      ({ family, harvest }) => family === 'coverCrops' && harvest.sign === 'cutAtFlower',
    )!;
    const cover = planting('a', hardy.id, { cropping: hardy.croppings.at(-1)! });
    const pea = planting('a', 'pea');
    const next = {
      ...pea,
      steps: pea.steps.map((step) => ({ ...step, on: step.on.replace('2026', '2027') })),
    };
    const of = plan([cover], { after: [next] });
    const finding = first(of, 'coverInTheWay');
    expect(finding).toMatchObject({ bedId: 'a' });
    expect(remediesFor(of, finding)[0]).toMatchObject({ kind: 'crop', cropId: 'winter-killed-mix' });
    // Where winter kills nothing, no mix is offered that it would kill.
    const mild = almanacOf(
      climateOfFrosts({ ...northern, latitude: 31, lastFrost: '02-20', firstFrost: '12-05' }),
    );
    const there = plan([cover], { after: [next], almanacOf: () => mild });
    expect(remediesFor(there, finding)).toEqual([]);
    // Cut at flowering in late May, it is out of the way of what goes in at the beginning of June. Common practice, no source.
    const setOutOn = (on: string) => ({ ...pea, steps: pea.steps.map((step) => ({ ...step, on })) });
    expect(codes(plan([cover], { after: [setOutOn('2027-06-03')] }))).not.toContain('coverInTheWay');
    expect(codes(plan([cover], { after: [setOutOn('2027-05-20')] }))).toContain('coverInTheWay');
    // What is logged as cut in June was in the way until then.
    const cutLate = {
      ...cover,
      steps: cover.steps.map((step) =>
        step.kind === 'clear' ? { ...step, on: '2027-06-10', done: true } : step,
      ),
    };
    expect(first(plan([cutLate], { after: [setOutOn('2027-06-03')] }), 'coverInTheWay')).toMatchObject({
      until: '2027-06-10',
    });
  });

  it('names each finding so that it can be told from all others', () => {
    const found = consistency(
      plan([planting('a', 'tomato'), planting('a', 'pepper'), planting('a', 'sweet-corn')]),
    );
    expect(new Set(found.map(findingKey)).size).toBe(found.length);
  });
});

// KNOWLEDGE 3.9: corn first, in a block, then beans, then squash, on one piece of ground.
it('accepts corn, beans and squash as they are planned together', () => {
  const [corn, beans, squash] = sequencePlaces(cornBeansSquash);
  const best = planting('a', corn!.cropId, { pattern: corn!.pattern });
  // It goes in as early as it may, so that what waits for it has the season it wants.
  const corns = planting('a', corn!.cropId, {
    pattern: corn!.pattern,
    startOn: startOf(best.steps)!.window.earliest,
  });
  const after = ({ cropId, pattern, waitsFor }: SequencePlace) => {
    const crop = plainCatalogue.crop(cropId)!;
    const stage = stageOf(corn!.cropId, corns.steps, waitsFor!.days);
    const way = {
      crop,
      variety: crop.varieties[0]!,
      method: 'sowInPlace' as const,
      cropping: 'spring' as const,
    };
    const steps = computeMilestones(
      { ...way, year: 2026, startOn: null, after: stage },
      almanac,
      defaultRules,
    )!;
    return planting('a', cropId, { ...way, pattern, betweenId: corns.id, steps });
  };
  expect(codes(plan([corns, after(beans!), after(squash!)]))).toEqual([]);
  // All three with ground of their own are more than the bed has.
  const apart = [corns, after(beans!), after(squash!)].map((one) => ({ ...one, betweenId: null }));
  expect(codes(plan(apart))).toContain('overfull');
});
