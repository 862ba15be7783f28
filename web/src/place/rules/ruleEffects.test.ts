import { plainCatalogue } from '@unity-acre/core/crops';
import { almanacOf, climateOfFrosts } from '@unity-acre/core/place';
import { defaultRules, type HouseRules, ruleSchools } from '@unity-acre/core/season';
import { describe, expect, it } from 'vitest';
import { effectsOf, effectUnder, type RuleName } from './ruleEffects.ts';

const almanac = almanacOf(
  climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' }),
);
const schools: Record<RuleName, readonly unknown[]> = ruleSchools;
const names = Object.keys(schools) as RuleName[];
const shown = (name: RuleName, rules: HouseRules) =>
  effectsOf[name].map((effect) => effectUnder(effect, name, rules, almanac, plainCatalogue, 2026));

describe.each(names)('the rule %s', (name) => {
  it('is shown on three crops at least, each of them in the catalogue', () => {
    expect(effectsOf[name].length).toBeGreaterThanOrEqual(3);
    for (const { cropId } of effectsOf[name]) expect(plainCatalogue.crop(cropId), cropId).toBeDefined();
  });

  it('does something to what it is shown on, by each of its schools', () => {
    const results = schools[name].map((school) =>
      JSON.stringify(shown(name, { ...defaultRules, [name]: school })),
    );
    // Some schools differ in what is done each day, not in when: seven days are seven days.
    expect(new Set(results).size).toBeGreaterThan(1);
  });

  it('leaves what it is shown on alone while other rules change', () => {
    for (const other of names.filter((one) => one !== name && one !== 'frostRisk' && one !== 'hardening')) {
      for (const school of schools[other]) {
        const changed = { ...defaultRules, [other]: school };
        if (name === 'cucurbits' || other === 'cucurbits') continue;
        expect(shown(name, changed), `${name} under ${other}`).toEqual(shown(name, defaultRules));
      }
    }
  });
});
