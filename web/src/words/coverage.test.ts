import { addDays } from '@unity-acre/core/calendar';
import {
  croppings,
  families,
  materials,
  methods,
  plainCatalogue,
  practiceCodes,
  practiceFor,
  practiceSchools,
  practicesOf,
} from '@unity-acre/core/crops';
import { entryKinds } from '@unity-acre/core/log';
import { almanacOf, climateOfFrosts, climateOfNormals, skipReasons, yearSoFar } from '@unity-acre/core/place';
import {
  computeMilestones,
  defaultRules,
  findingCodes,
  findingRow,
  milestoneKinds,
  type Reason,
  ruleSchools,
} from '@unity-acre/core/season';
import { isRoundKind, roundKinds, roundRow, taskKinds, toolNames, workKinds } from '@unity-acre/core/work';
import { describe, expect, it } from 'vitest';
import { allWords } from './all.ts';

/* Codes of the core have words on the screen: none is shown as it is. */

describe.each(Object.entries(allWords))('in %s', (_, words) => {
  it.each([
    ['milestones', milestoneKinds, words.season.step],
    ['methods', methods, words.season.method],
    ['parts of the season', croppings, words.season.cropping],
    ['families', families, words.kit.family],
    ['entries', entryKinds, words.log.kind],
    ['tools', toolNames, words.rota.tool],
    ['materials', materials, words.materials.name],
    ['reasons to skip a row', skipReasons, words.climate.station.skip],
  ] as [string, readonly string[], object][])('all %s have words', (_name, codes, known) => {
    for (const code of codes) expect(known).toHaveProperty(code);
  });

  it('all work has a sentence that says what to do where, and when it is done, and no word is left over', () => {
    expect(Object.keys(words.workKinds).sort()).toEqual([...workKinds].sort());
    expect(Object.keys(words.cards).sort()).toEqual([...workKinds].sort());
    for (const kind of workKinds) {
      const { sentence } = words.workKinds[kind];
      const { doneWhen } = words.cards[kind];
      expect(doneWhen, kind).not.toBe('');
      for (const blank of isRoundKind(kind) ? ['by'] : ['crop', 'bed'])
        expect(sentence, kind).toContain(`{{${blank}}}`);
    }
  });

  it('all practices have words, with every number that they give, and no word is left over', () => {
    const said: Record<string, string> = words.practice;
    const known = new Set(Object.keys(said).map((key) => key.replace(/_(one|other)$/, '')));
    expect([...known].sort()).toEqual([...practiceCodes].sort());
    const everyWay = Object.entries(practiceSchools).flatMap(([school, ways]) =>
      ways.map((way) => practicesOf({ [school]: way })),
    );
    const given = new Map<string, Set<string>>();
    for (const crop of plainCatalogue.crops)
      for (const method of crop.methods)
        for (const kind of taskKinds)
          for (const practices of everyWay)
            for (const { code, ...facts } of practiceFor(kind, {
              ...{ crop, method, width: 0.7, length: 3, rows: 1, plants: 9, practices },
            }))
              given.set(code, new Set([...(given.get(code) ?? []), ...Object.keys(facts)]));
    const blanks = {
      ...{ count: ['count'], length: ['length'], width: ['width'], volume: ['volume'], spoons: ['spoons'] },
      warmth: ['from', 'to'],
    };
    for (const [code, facts] of given) {
      const text = said[code] ?? said[`${code}_other`]!;
      const wanted = [...facts].flatMap((fact) => blanks[fact as keyof typeof blanks]);
      expect([...text.matchAll(/\{\{(\w+)(?:, \w+)?\}\}/g)].map(([, blank]) => blank).sort(), code).toEqual(
        wanted.sort(),
      );
      expect(facts.has('count'), code).toBe(said[code] === undefined);
    }
  });

  it('all ways in which gardens differ have words, and no word is left over', () => {
    const { title, lead, rule, ...said } = words.practices;
    expect([title, lead, rule].every(Boolean)).toBe(true);
    expect(Object.keys(said).sort()).toEqual(Object.keys(practiceSchools).sort());
    for (const [school, ways] of Object.entries(practiceSchools))
      expect(Object.keys(said[school as keyof typeof said].choice), school).toEqual([...ways]);
  });

  it('all rounds have a name, and those that are hazardous say of what to beware', () => {
    for (const kind of roundKinds) {
      const said: { name: string; caution?: string } = words.cards[kind];
      expect(said.name, kind).not.toBe('');
      expect(said.caution !== undefined, kind).toBe(roundRow(kind).isHazardous);
    }
  });

  it('all findings say what is wrong, with facts that they have, and what to do', () => {
    // What the screen adds to the facts of a finding; see season/Findings.tsx.
    const shown = ['bed', 'a', 'b', 'crops', 'n'];
    expect(Object.keys(words.findings).sort()).toEqual([...findingCodes].sort());
    for (const code of findingCodes) {
      const { says, advice } = words.findings[code];
      const facts = Object.keys(findingRow(code).facts);
      const blanks = [...says.matchAll(/\{\{(\w+)(?:, \w+)?\}\}/g)].map(([, blank]) => blank!);
      for (const blank of blanks) expect([...facts, ...shown], code).toContain(blank);
      for (const fact of facts) expect(blanks, code).toContain(fact);
      expect(advice, code).not.toBe('');
    }
  });

  it('all schools of all house rules have words, and each rule says what it does', () => {
    for (const [rule, choices] of Object.entries(ruleSchools)) {
      const known = (words.climate.rule as Record<string, { name: string; does: string; choice: object }>)[
        rule
      ]!;
      expect(known.name).not.toBe('');
      expect(known.does).not.toBe('');
      expect(Object.keys(known.choice).sort()).toEqual(
        choices.map((choice) => String(choice).replace('.', '_')).sort(),
      );
    }
  });

  it('all reasons that any planting gives have words, and every blank in them is filled', () => {
    // What the screen adds to the parameters of a reason; see season/reasons.ts.
    const shown = [
      'night',
      'soil',
      'high',
      'at',
      'risk',
      'share',
      'crop',
      'since',
      'mean',
      'wanted',
      'onion',
      'by',
    ];
    const cold = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
    const mild = { latitude: 33, longitude: -112, lastFrost: '02-05', firstFrost: '12-10' };
    const months = (warmest: number, coldest: number) =>
      Array.from({ length: 12 }, (_, month) => warmest - ((warmest - coldest) * Math.abs(month - 6)) / 6);
    const normals = (high: [number, number], low: [number, number]) => ({
      high: months(...high),
      low: months(...low),
      rain: new Array<number>(12).fill(50),
    });
    const climates = [
      climateOfFrosts(cold),
      climateOfFrosts({ latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' }),
      climateOfNormals(mild, normals([41, 20], [28, 8])),
      climateOfNormals({ ...mild, lastFrost: null, firstFrost: null }, normals([33, 30], [26, 23])),
      climateOfNormals({ ...cold, latitude: 56 }, normals([18, 7], [10, 1])),
    ];
    // A spring that was measured up to the end of April, warmer than usual.
    const measured = Array.from({ length: 119 }, (_, n) => ({
      on: addDays('2026-01-01', n),
      low: 6,
      high: 16,
    }));
    climates.push({ ...climateOfFrosts(cold), thisYear: yearSoFar(cold.latitude, '2026-04-30', measured) });
    const met = new Set<string>();
    for (const climate of climates) {
      const almanac = almanacOf(climate);
      for (const crop of plainCatalogue.crops) {
        for (const method of crop.methods) {
          for (const cropping of crop.croppings) {
            for (const variety of crop.varieties) {
              const plan = { crop, variety, method, cropping, year: 2026, startOn: null };
              for (const { reasons } of computeMilestones(plan, almanac, defaultRules) ?? []) {
                for (const reason of [...reasons.earliest, ...reasons.best, ...reasons.latest]) {
                  if (!met.has(reason.code)) expectFilled(reason, shown, words.reasons);
                  met.add(reason.code);
                }
              }
            }
          }
        }
      }
    }
    // The rest comes of what is logged, chosen or waited for, of another house rule, and of crops of a garden's own.
    const rest = [
      'afterStage',
      'chosen',
      'eachYear',
      'happened',
      'potOver',
      'schoolCountBack',
      'soilRarely',
      'winterRest',
    ];
    const unmet = Object.keys(words.reasons).filter((code) => !met.has(code) && code !== 'onions');
    expect(unmet.sort()).toEqual(rest);
  });
});

function expectFilled(reason: Reason, shown: string[], known: Record<string, unknown>): void {
  const text = known[reason.code] as string;
  expect(text, reason.code).toBeDefined();
  for (const [, blank] of text!.matchAll(/\{\{(\w+)(?:, \w+)?\}\}/g))
    expect([...Object.keys(reason), ...shown], `${reason.code} has no ${blank}`).toContain(blank);
}
