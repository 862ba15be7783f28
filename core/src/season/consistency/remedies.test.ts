import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { startOf } from '../milestones/milestone.ts';
import type { PlannedPlanting, YearPlan } from '../planning/yearPlan.ts';
import { type Finding, type Remedy, remediesFor } from './index.ts';
import { bed, codes, FOOT, first, plan, planting } from './testing.ts';

const remedies = <Kind extends Remedy['kind']>(of: YearPlan, code: Finding['code'], kind: Kind) =>
  remediesFor(of, first(of, code)).filter((one): one is Remedy & { kind: Kind } => one.kind === kind);
const stood = (bedId: string, cropId: string) => ({
  bedId,
  year: 2025,
  crop: plainCatalogue.crop(cropId)!,
});
const begun = (one: PlannedPlanting): PlannedPlanting => ({
  ...one,
  steps: one.steps.map((step, i) => (i === 0 ? { ...step, done: true } : step)),
});

describe('another bed', () => {
  it('is offered only where nothing speaks against it', () => {
    const tomato = planting('a', 'tomato');
    const before = [stood('a', 'pepper')];
    const offered = (over: Partial<YearPlan>) =>
      remedies(plan([tomato], { before, ...over }), 'rotation', 'moveBed').map(({ bedId }) => bedId);
    expect(offered({})).toEqual(['b', 'c']);
    expect(offered({ before: [...before, stood('b', 'potato')] })).toEqual(['c']);
    expect(offered({ beds: [bed('a', 0), bed('b', 6, { sunHours: 3 }), bed('c', 12)] })).toEqual(['c']);
    expect(offered({ beds: [bed('a', 0), bed('b', 6, { soilDepth: 0.1 }), bed('c', 12)] })).toEqual(['c']);
    expect(offered({ beds: [bed('a', 0), bed('b', 6, { tenure: 'plot' }), bed('c', 12)] })).toEqual(['c']);
    const full = [tomato, planting('b', 'sweet-corn', { length: 20 * FOOT, pattern: 'square' })];
    expect(remedies(plan(full, { before }), 'rotation', 'moveBed').map(({ bedId }) => bedId)).toEqual(['c']);
  });

  it('is offered three times at the most, and never for what is logged', () => {
    const many = {
      beds: ['a', 'b', 'c', 'd', 'e'].map((id, n) => bed(id, 6 * n)),
      before: [stood('a', 'pepper')],
    };
    expect(remedies(plan([planting('a', 'tomato')], many), 'rotation', 'moveBed').length).toBe(3);
    expect(remedies(plan([begun(planting('a', 'tomato'))], many), 'rotation', 'moveBed')).toEqual([]);
  });

  it('is one where most tender crops stand, for tender crops in too many places', () => {
    const beds = [bed('far', 100), bed('none', 0), bed('one', 5), bed('two', 10)];
    const of = plan(
      [
        planting('far', 'basil', { method: 'setPlants', length: 2 * FOOT }),
        planting('one', 'pepper', { length: 3 * FOOT }),
        planting('two', 'cucumber', { length: 3 * FOOT }),
        planting('two', 'zucchini', { length: 3 * FOOT }),
      ],
      { beds, before: [stood('one', 'pea')] },
    );
    const [best] = remedies(of, 'tenderScattered', 'moveBed');
    expect(best).toMatchObject({ bedId: 'two' });
  });
});

describe('a tall crop put on the sunny side', () => {
  it('is laid out with the others again, where it shades nobody; never once it stands', () => {
    const tall = planting('a', 'pole-bean', { length: 4 * FOOT, at: { x: 0, y: 0 } });
    const low = planting('a', 'pepper', { length: 4 * FOOT });
    const [offer] = remedies(plan([tall, low]), 'shadesLower', 'layOut');
    expect(offer).toEqual({ kind: 'layOut', plantingId: tall.id });
    expect(codes(plan([{ ...tall, at: null }, low]))).not.toContain('shadesLower');
    expect(remedies(plan([begun(tall), low]), 'shadesLower', 'layOut')).toEqual([]);
  });
});

describe('a bed that is too full', () => {
  it('waits for the crop before to be off, on the first day on which it is', () => {
    const radish = planting('a', 'radish', { length: 24 * FOOT, startOn: '2026-04-25' });
    const beans = (startOn: string) => ({
      ...planting('a', 'bush-bean', { length: 24 * FOOT, startOn }),
      id: 'beans',
    });
    const waits = remedies(plan([radish, beans('2026-05-20')]), 'overfull', 'startOn');
    const { startOn } = waits.find(({ plantingId }) => plantingId === 'beans')!;
    expect(codes(plan([radish, beans(startOn)]))).not.toContain('overfull');
    expect(codes(plan([radish, beans(addDays(startOn, -1))]))).toContain('overfull');
  });

  it('takes between the rows of a slow crop what the trade grows there, and nothing else', () => {
    const carrot = planting('a', 'carrot', { length: 24 * FOOT, startOn: '2026-05-01' });
    const lettuce = planting('a', 'lettuce', { length: 12 * FOOT, startOn: '2026-05-01' });
    const radish = planting('a', 'radish', { length: 12 * FOOT, startOn: '2026-05-01' });
    // Leaf lettuce between young carrots (KNOWLEDGE 4): not a radish, nor carrots between the lettuce.
    expect(remedies(plan([carrot, lettuce, radish]), 'overfull', 'between')).toEqual([
      { kind: 'between', plantingId: lettuce.id, betweenId: carrot.id },
    ]);
    const cabbage = planting('a', 'cabbage', { length: 24 * FOOT, method: 'setPlants' });
    expect(remedies(plan([cabbage, lettuce]), 'overfull', 'between')).toEqual([]);
  });

  it('is offered another time first, then another bed, then less, and room between others last', () => {
    const carrot = planting('a', 'carrot', { length: 16 * FOOT, startOn: '2026-05-01' });
    const lettuce = planting('a', 'lettuce', { length: 16 * FOOT, startOn: '2026-05-01' });
    const of = plan([carrot, lettuce]);
    const kinds = remediesFor(of, first(of, 'overfull')).map(({ kind }) => kind);
    const order = ['startOn', 'moveBed', 'length', 'between'];
    expect([...new Set(kinds)]).toEqual(order.filter((kind) => kinds.includes(kind as never)));
    expect(kinds).toEqual(expect.arrayContaining(['moveBed', 'length', 'between']));
  });
});

describe('a crop that is ripe at once', () => {
  it('is sown later, so that it is first picked two weeks later', () => {
    const radishes = [1, 2].map(() => planting('a', 'radish', { startOn: '2026-04-20' }));
    const once = radishes.map((one) => ({ ...one, crop: { ...one.crop, pastFirstFrostDays: undefined } }));
    const of = plan(once as PlannedPlanting[]);
    const [later] = remedies(of, 'ripeTogether', 'startOn');
    expect(later).toMatchObject({ plantingId: once[1]!.id });
    expect(daysBetween(startOf(once[1]!.steps)!.on, later!.startOn)).toBeGreaterThanOrEqual(10);
    const moved = planting('a', 'radish', { startOn: later!.startOn });
    const spread = plan([once[0]!, { ...moved, crop: once[1]!.crop }] as PlannedPlanting[]);
    expect(codes(spread)).not.toContain('ripeTogether');
  });
});
