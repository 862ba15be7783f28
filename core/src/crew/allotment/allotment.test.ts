import { createHash } from 'node:crypto';
import fc from 'fast-check';
import computeMunkres from 'munkres-js';
import { describe, expect, it } from 'vitest';
import {
  type Allotted,
  type Application,
  keptFor,
  lacking,
  noNeeds,
  type OfferedPlot,
  outcomeOf,
  placeOnList,
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
                // Each holds a plot of their own, as far as there are plots.
                holds: returning && i < plots ? `plot ${i}` : null,
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
        // What is kept for those whose turn has not come yet is not to be had.
        const kept = new Map(record.entrants.map(({ id, keeps }) => [id, keeps]));
        for (const { entrant, plot: got } of record.steps) {
          const { takes } = record.entrants.find(({ id }) => id === entrant)!;
          const own = kept.get(entrant);
          const better = takes.slice(0, got ? takes.indexOf(got) : takes.length);
          for (const one of better)
            expect(taken.has(one) || (one !== own && [...kept.values()].includes(one))).toBe(true);
          kept.delete(entrant);
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
  it('costs what munkres-js finds: most given, then to those who waited longest, then nearest to the wishes', () => {
    fc.assert(
      fc.property(garden, ({ plots, applications }) => {
        const allotted = bestFit('allAlike', applications, plots);
        isSound(applications, plots, allotted);
        // Who has waited longest loses most by going without.
        const waited = [...applications].sort((a, b) =>
          `${a.since} ${a.id}` < `${b.since} ${b.id}` ? 1 : -1,
        );
        const cost = (one: Application, place: OfferedPlot | undefined) => {
          if (!place) return 1e5 + 100 * waited.indexOf(one);
          if (lacking(one, place)) return 1e9;
          // The plot one holds comes after those one has named, and all others after that.
          const list = [...new Set([...one.wishes, ...(one.holds ? [one.holds] : [])])];
          const rank = list.indexOf(place.id);
          return rank < 0 ? list.length : rank;
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

/** The places that all have on their lists of what they get, in all; a thousand for each who gets none. */
const costOf = (applications: readonly Application[], allotted: Allotted): number =>
  applications.reduce((sum, one) => {
    const got = allotted.get(one.id);
    return sum + (got ? placeOnList(one, got) : 1000);
  }, 0);

describe('a list of wishes', () => {
  it('gains nothing in the best fit by being short: what is not on it comes next, and not last of all', () => {
    fc.assert(
      fc.property(garden, fc.nat(), fc.nat(), ({ plots, applications: all }, pick, length) => {
        const applications = all.map((one) => ({ ...one, onlyNamed: false, holds: null }));
        const who = applications[pick % applications.length]!;
        const short = applications.map((one) =>
          one === who ? { ...one, wishes: one.wishes.slice(0, length % (one.wishes.length + 1)) } : one,
        );
        const [honest, other] = [applications, short].map((list) => bestFit('allAlike', list, plots));
        const rank = (allotted: Allotted) => {
          const got = allotted.get(who.id);
          return got ? placeOnList(who, got) : plots.length + 1;
        };
        // Where both are as good for all together, either may be found.
        const isTie = costOf(applications, other!) === costOf(applications, honest!);
        if (!isTie) expect(rank(other!)).toBeGreaterThanOrEqual(rank(honest!));
      }),
      { numRuns: 500 },
    );
  });

  it('gives a plot to whoever named it alone no sooner than to whoever named more', () => {
    const one = application(1, { wishes: ['plot 1'] });
    const more = application(2, { wishes: ['plot 1', 'plot 2', 'plot 3'] });
    const given = (first: string, second: string) =>
      costOf(
        [one, more],
        new Map([
          [one.id, first],
          [more.id, second],
        ]),
      );
    expect(given('plot 1', 'plot 2')).toBe(given('plot 2', 'plot 1'));
  });
});

describe('a returning holder, where those come first', () => {
  it('has the plot they hold, or one they like better, in a draw and in the best fit', () => {
    fc.assert(
      fc.property(garden, fc.string(), ({ plots, applications }, seed) => {
        const all = [
          drawn(draw(seed, 'returningFirst', applications, plots)),
          bestFit('returningFirst', applications, plots),
        ];
        for (const one of applications) {
          const held = plots.find(({ id }) => id === one.holds);
          if (!held || lacking(one, held)) continue;
          for (const allotted of all) {
            const got = allotted.get(one.id)!;
            expect(got).not.toBeNull();
            expect(placeOnList(one, got)).toBeLessThanOrEqual(placeOnList(one, held.id));
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is moved for nobody else’s wish, and leaves the plot to others once they have another', () => {
    const [stays, wants] = [
      application(1, { returning: true, holds: 'plot 1' }),
      application(2, { returning: true, holds: 'plot 2', wishes: ['plot 1'] }),
    ];
    const plots = [plot(1), plot(2), plot(3)];
    for (const seed of ['a', 'b', 'c', 'd']) {
      expect([...drawn(draw(seed, 'returningFirst', [stays!, wants!], plots)).values()].sort()).toEqual([
        ...['plot 1', 'plot 2'],
      ]);
      expect(drawn(draw(seed, 'returningFirst', [stays!, wants!], plots)).get('app 1')).toBe('plot 1');
    }
    expect(bestFit('returningFirst', [stays!, wants!], plots).get('app 1')).toBe('plot 1');
    // Who moves to the third leaves the second for a newcomer.
    const moves = { ...wants!, wishes: ['plot 3'] };
    const newcomer = application(3, { wishes: ['plot 2'] });
    for (const seed of ['a', 'b', 'c', 'd']) {
      const given = drawn(draw(seed, 'returningFirst', [stays!, moves, newcomer], plots));
      expect([...given].sort()).toEqual([
        ['app 1', 'plot 1'],
        ['app 2', 'plot 3'],
        ['app 3', 'plot 2'],
      ]);
    }
  });

  it('keeps nothing where all are alike, or where it no longer suits', () => {
    const tall = application(1, { returning: true, holds: 'plot 1', needs: { ...noNeeds, tall: true } });
    const fits = application(1, { returning: true, holds: 'plot 1' });
    expect(keptFor('returningFirst', fits, [plot(1)])).toBe('plot 1');
    expect(keptFor('returningFirst', fits, [plot(2)])).toBeNull();
    expect(keptFor('returningFirst', tall, [plot(1)])).toBeNull();
    expect(keptFor('allAlike', fits, [plot(1)])).toBeNull();
    expect(keptFor('returningFirst', { ...fits, returning: false }, [plot(1)])).toBeNull();
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
