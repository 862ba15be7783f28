import { createHash } from 'node:crypto';
import fc from 'fast-check';
import computeMunkres from 'munkres-js';
import { describe, expect, it } from 'vitest';
import {
  type Allotted,
  type Application,
  lacking,
  noNeeds,
  type OfferedPlot,
  outcomeOf,
} from './application.ts';
import { bestFit } from './bestFit.ts';
import { careOf } from './care.ts';
import { draw, drawn, ticketOf } from './draw.ts';

const plot = (n: number, over: Partial<OfferedPlot> = {}): OfferedPlot => ({
  id: `plot ${n}`,
  name: `Plot ${n}`,
  area: 10,
  height: 0,
  tapDistance: 20,
  sunHours: 8,
  ...over,
});
const application = (n: number, over: Partial<Application> = {}): Application => ({
  id: `app ${n}`,
  name: `Household ${n}`,
  wishes: [],
  needs: noNeeds,
  since: '2026-01-01',
  returning: false,
  holds: null,
  onlyNamed: false,
  ...over,
});
const garden = fc
  .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 6 }))
  .chain(([plots, people]) =>
    fc.record({
      plots: fc.constant(
        Array.from({ length: plots }, (_, i) => plot(i, { height: i % 2 === 0 ? 0.7 : 0, area: 5 + i })),
      ),
      applications: fc.tuple(
        ...Array.from({ length: people }, (_, i) =>
          fc
            .record({
              wishes: fc.shuffledSubarray(Array.from({ length: plots }, (_, p) => `plot ${p}`)),
              tall: fc.boolean(),
              returning: fc.boolean(),
              onlyNamed: fc.boolean(),
              month: fc.integer({ min: 1, max: 9 }),
            })
            .map(({ wishes, tall, returning, onlyNamed, month }) =>
              application(i, {
                wishes,
                needs: { ...noNeeds, tall },
                returning,
                onlyNamed,
                since: `2025-0${month}-01`,
              }),
            ),
        ),
      ),
      rule: fc.constantFrom('returningFirst' as const, 'allAlike' as const),
    }),
  );

const isSound = (applications: readonly Application[], plots: readonly OfferedPlot[], allotted: Allotted) => {
  const given = [...allotted.values()].filter((id) => id !== null);
  expect(new Set(given).size).toBe(given.length);
  for (const one of applications) {
    const got = plots.find(({ id }) => id === allotted.get(one.id));
    if (got) expect(lacking(one, got)).toBeNull();
  }
};

describe('a public draw', () => {
  it('gives tickets that anybody can reckon', () => {
    const theirs = createHash('sha256').update('12 May, 4 17 23|app 1').digest('hex');
    expect(ticketOf('12 May, 4 17 23', 'app 1')).toBe(theirs);
  });

  it('gives each in turn the best of what is left to them, and nobody what does not suit', () => {
    fc.assert(
      fc.property(garden, fc.string(), ({ plots, applications, rule }, seed) => {
        const record = draw(seed, rule, applications, plots);
        isSound(applications, plots, drawn(record));
        const taken = new Set<string>();
        for (const { entrant, plot: got } of record.steps) {
          const { takes } = record.entrants.find(({ id }) => id === entrant)!;
          const better = takes.slice(0, got ? takes.indexOf(got) : takes.length);
          for (const one of better) expect(taken.has(one)).toBe(true);
          if (got) taken.add(got);
        }
        const order = record.entrants.map(({ returning }) => Number(!returning));
        if (rule === 'returningFirst') expect(order).toEqual([...order].sort());
      }),
    );
  });

  it('has nobody gain by wishing for other than what they want', () => {
    fc.assert(
      fc.property(garden, fc.string(), fc.nat(), ({ plots, applications, rule }, seed, pick) => {
        const who = applications[pick % applications.length]!;
        const ranked = draw(seed, rule, applications, plots).entrants.find(({ id }) => id === who.id)!.takes;
        const rank = (lie: readonly string[]) => {
          const told = applications.map((one) => (one === who ? { ...one, wishes: [...lie] } : one));
          const got = drawn(draw(seed, rule, told, plots)).get(who.id) ?? null;
          return got === null ? ranked.length : ranked.indexOf(got);
        };
        const lied = rank([...who.wishes].reverse());
        // What somebody with a short list would not have taken is no gain.
        expect(rank(who.wishes)).toBeLessThanOrEqual(lied < 0 ? ranked.length : lied);
      }),
    );
  });
});

describe('the best fit', () => {
  it('costs what munkres-js finds: most given, then nearest to the wishes', () => {
    fc.assert(
      fc.property(garden, ({ plots, applications }) => {
        const allotted = bestFit('allAlike', applications, plots);
        isSound(applications, plots, allotted);
        const longest = Math.max(0, ...applications.map(({ wishes }) => wishes.length));
        const cost = (one: Application, place: OfferedPlot | undefined) => {
          if (!place) return 1000;
          if (lacking(one, place)) return 1e6;
          const rank = one.wishes.indexOf(place.id);
          return rank < 0 ? longest : rank;
        };
        const columns: (OfferedPlot | undefined)[] = [...plots, ...applications.map(() => undefined)];
        const matrix = applications.map((one) => columns.map((place) => cost(one, place)));
        const theirs = (computeMunkres(matrix) as [number, number][]).reduce(
          (sum, [row, column]) => sum + (matrix[row]?.[column] ?? 0),
          0,
        );
        const mine = applications.reduce(
          (sum, one) =>
            sum +
            cost(
              one,
              plots.find(({ id }) => id === allotted.get(one.id)),
            ),
          0,
        );
        expect(mine).toBe(theirs);
      }),
    );
  });

  it('gives at least as many a plot as any draw does', () => {
    fc.assert(
      fc.property(garden, fc.string(), ({ plots, applications, rule }, seed) => {
        const best = outcomeOf(applications, bestFit(rule, applications, plots));
        const any = outcomeOf(applications, drawn(draw(seed, 'allAlike', applications, plots)));
        if (rule === 'allAlike') expect(best.given).toBeGreaterThanOrEqual(any.given);
      }),
    );
  });

  it('favours who has waited longest where nothing else decides', () => {
    const both = [application(1, { since: '2026-02-01' }), application(2, { since: '2024-02-01' })];
    const allotted = bestFit('allAlike', both, [plot(1)]);
    expect([...allotted]).toEqual([
      ['app 1', null],
      ['app 2', 'plot 1'],
    ]);
    const returning = [application(1, { returning: true, since: '2026-02-01' }), both[1]!];
    expect(bestFit('returningFirst', returning, [plot(1)]).get('app 1')).toBe('plot 1');
  });
});

describe('the care of a plot', () => {
  it('goes from a kind first notice to a second and to release, each after its days', () => {
    const check = (on: string, finding: 'cared' | 'weedy') => ({ on, finding });
    expect(careOf([])).toEqual({ stage: 'good', nextLook: null });
    expect(careOf([check('2026-06-01', 'weedy')])).toEqual({ stage: 'firstNotice', nextLook: '2026-06-15' });
    const early = [check('2026-06-01', 'weedy'), check('2026-06-05', 'weedy')];
    expect(careOf(early)).toEqual({ stage: 'firstNotice', nextLook: '2026-06-15' });
    const second = [check('2026-06-01', 'weedy'), check('2026-06-15', 'weedy')];
    expect(careOf(second)).toEqual({ stage: 'secondNotice', nextLook: '2026-06-29' });
    expect(careOf([...second, check('2026-06-30', 'weedy')])).toEqual({ stage: 'release', nextLook: null });
    expect(careOf([...second, check('2026-06-20', 'cared')])).toEqual({ stage: 'good', nextLook: null });
  });
});
