import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import { plainCatalogue } from '@unity-acre/core/crops';
import { climateOfFrosts } from '@unity-acre/core/place';
import { defaultRules } from '@unity-acre/core/season';
import { expect, it } from 'vitest';
import { firstValues } from './firstValues.ts';

const gardenOn = (today: string, latitude = 44.5) => {
  const frosts =
    latitude > 0 ? { lastFrost: '05-10', firstFrost: '10-03' } : { lastFrost: '10-05', firstFrost: '05-01' };
  const climate = climateOfFrosts({ latitude, longitude: -88, ...frosts });
  return { latitude, climate, offsetC: 0, rules: defaultRules, today } as Garden;
};
const bed = { id: 'a', offsetC: 0 } as Bed;
const first = (search: string, garden: Garden) =>
  firstValues(new URLSearchParams(search), bed, garden, plainCatalogue);

it('begins with what nearly every garden grows, in the season there is still time for', () => {
  expect(first('', gardenOn('2026-04-01'))).toMatchObject({
    cropId: 'tomato',
    cropping: 'spring',
    year: '2026',
  });
  expect(first('', gardenOn('2026-09-10')).year).toBe('2027');
  expect(first('crop=garlic', gardenOn('2026-10-01')).year).toBe('2026');
});

it('names the season as the south does', () => {
  expect(first('', gardenOn('2027-02-10', -41)).year).toBe('2027');
  expect(first('', gardenOn('2026-08-10', -41)).year).toBe('2026');
  // In January the calendar is a year ahead of the season that goes on.
  expect(first('crop=radish&cropping=autumn', gardenOn('2027-01-20', -41)).year).toBe('2026');
});

it('takes what a link wants, and nothing that the crop does not have', () => {
  const link = 'crop=pea&variety=snap&cropping=autumn&method=startIndoors&year=2028&start=2028-08-01';
  expect(first(link, gardenOn('2026-04-01'))).toMatchObject({
    ...{ cropId: 'pea', varietyId: 'snap', cropping: 'autumn', method: 'sowInPlace' },
    ...{ year: '2028', startOn: '2028-08-01' },
  });
  expect(first('crop=dandelion&start=soon', gardenOn('2026-04-01'))).toMatchObject({
    cropId: 'tomato',
    startOn: '',
  });
});
